<?php

declare(strict_types=1);

namespace App\Wording;

use Augendo\Core\Day;
use Augendo\Core\Gates\Criterion;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\GateDecision;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\Verdict;
use Augendo\Core\Instant;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\LibraryObject;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\DatedLimits;
use Augendo\Core\Limits\Headroom;
use Augendo\Core\Limits\LevelLimit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitFigures;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Limits\RatioLimit;
use Augendo\Core\Limits\RestLimit;
use Augendo\Core\Limits\Status;
use Augendo\Core\Limits\StepLimit;
use Augendo\Core\Limits\StreakLimit;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Measure;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Reason;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;

/** Reasons in words: the one place where what the core says is put for people. */
final class Wording
{
    public static function word(Word $word): string
    {
        return match ($word) {
            Word::Full => 'Full',
            Word::Unknown => 'Not checked in',
            Word::Reduced => 'Reduced',
            Word::None => 'None',
            Word::Refer => 'Refer',
        };
    }

    public static function channel(Channel $channel): string
    {
        return $channel === Channel::Landing ? 'landings' : $channel->value;
    }

    public static function site(Site $site): string
    {
        return match ($site) {
            Site::UpperArm => 'upper arm',
            Site::SideOfTrunk => 'side of the trunk',
            Site::None => 'nothing sore',
            default => $site->value,
        };
    }

    public static function kind(Kind $kind): string
    {
        return match ($kind) {
            Kind::Muscle => 'muscle ache',
            Kind::Joint => 'joint pain',
            Kind::Sharp => 'sharp pain',
            Kind::Numb => 'numbness',
            Kind::Swelling => 'swelling',
            Kind::Locking => 'locking or giving way',
            Kind::Skin => 'skin, blister',
            Kind::Head => 'head knock',
        };
    }

    public static function moment(Moment $moment): string
    {
        return match ($moment) {
            Moment::Morning => 'in the morning',
            Moment::Before => 'before the session',
            Moment::Warmup => 'in the warm-up',
            Moment::During => 'while working',
            Moment::After => 'after the session',
        };
    }

    public static function report(SorenessReport $report): string
    {
        $side = $report->side === null ? '' : "{$report->side} ";

        return ucfirst($side.self::site($report->site)).', '.self::kind($report->kind)." {$report->score}, ".self::moment($report->moment);
    }

    public static function reason(Reason $reason): string
    {
        $report = $reason->report === null ? '' : self::report($reason->report);

        return match ($reason->rule) {
            'report' => "{$report}.",
            'cleared_today' => "{$report}: cleared since, the day stays light.",
            'warmup_worse' => "{$report}: it did not ease in the warm-up, one level worse.",
            'during' => "{$report}: what was felt at work counts all day.",
            'during_worse' => "{$report}: felt at work, one level worse.",
            'eased' => "{$report}: it eased, and the day stays light.",
            'trend' => $reason->word === Word::Refer
                ? "{$report}: three days running or rising. It goes to a clinician until it is cleared, or reported on again."
                : "{$report}: three days running or rising, one level worse.",
            'referral' => "{$report}: open referral, only a clinician’s clearance closes it.",
            'referral_elsewhere' => "An open referral elsewhere ({$report}): the rest of the body stays light.",
            'known' => "{$report}: a condition the clinician knows, the day stays light.",
            'holds_overnight' => "{$report}: the strict school holds this until the next morning’s report.",
            'fever' => 'Fever: no training today.',
            'ill' => 'Ill, without a fever: light work at most.',
            'after_fever' => $reason->word === Word::None
                ? 'A whole day without fever first: no training today.'
                : 'Back after a fever: less and easier for some days. A doctor’s word comes first.',
            'counts_missing' => 'Counts are missing from a device: what was done is not known yet,'
                .' so the dose is that of somebody not checked in.',
            'no_report' => 'No report today.',
            default => 'Checked in, nothing sore here.',
        };
    }

    public static function afterStop(int $reps, Instant $stopped): string
    {
        $were = $reps === 1 ? 'repetition was' : 'repetitions were';

        return "{$reps} {$were} tapped after the work had to stop at ".substr($stopped->text, 11, 5).'. They are kept and count as load.';
    }

    public static function referral(SorenessReport $report): string
    {
        return self::report(
            $report,
        ).'. Stop the work it concerns and hand this on to a licensed clinician. A clearance recorded after this report closes it.';
    }

    public static function blockKind(BlockKind $kind): string
    {
        return match ($kind) {
            BlockKind::WarmUp => 'Warm-up',
            BlockKind::Rehearsal => 'Rehearsal',
            BlockKind::Part => 'Part',
            BlockKind::Whole => 'Whole',
            BlockKind::Target => 'Target',
            BlockKind::GameLike => 'Game-like',
            BlockKind::OtherSide => 'Other side',
            BlockKind::CoolDown => 'Cool-down',
        };
    }

    /** A place in a document, as a person reads it: the second of a list is row 2. */
    public static function place(string $pointer): string
    {
        $parts = array_map(
            fn (string $part): string => ctype_digit($part)
                ? 'row '.((int) $part + 1)
                : strtr($part, ['_' => ' ', '-' => ' ', '~1' => '/', '~0' => '~']),
            explode('/', ltrim($pointer, '/')),
        );

        return $pointer === '' ? 'the top' : '“'.implode(', ', $parts).'”';
    }

    public static function object(LibraryObject $object): string
    {
        $saysItsMass = preg_match('/\d ?k?g$/', $object->name) === 1;

        return $object->massKg === null || $saysItsMass ? $object->name : "{$object->name}, ".self::number($object->massKg * 1000).' g';
    }

    /** A dose without its repetitions: "75 %, 9 m". */
    public static function dose(float $effort, ?float $distanceM): string
    {
        return self::percent($effort).($distanceM === null ? '' : ', '.self::number($distanceM).' m');
    }

    public static function unit(Limit $limit): string
    {
        return self::unitOf($limit->kind(), $limit->measure, $limit instanceof LevelLimit ? $limit->level : null);
    }

    private static function unitOf(string $kind, ?Measure $measure, ?string $level): string
    {
        if ($kind === 'streak') {
            return 'days';
        }

        return match ($measure) {
            null => $level === 'distance' ? 'm' : '% effort',
            Measure::Reps => 'reps',
            Measure::Shadow => 'shadow reps',
            Measure::HighReps => 'high-effort reps',
            Measure::Metres => 'm',
            Measure::Arm => 'arm units',
            Measure::Hand => 'hand units',
            Measure::Trunk => 'trunk units',
            Measure::Landings => 'landing units',
            Measure::Internal => 'effort minutes',
        };
    }

    public static function limit(LimitState|LimitFigures $state, Day $on): string
    {
        $state = $state instanceof LimitState ? LimitFigures::of($state) : $state;
        $unit = self::unitOf($state->kind, $state->measure, $state->level);
        $n = self::number(...);

        return match ($state->kind) {
            'cap' => (float) $state->max === 0.0 ? 'None of it.' : self::room($state, $unit),
            'step' => self::room($state, $unit),
            'level' => 'At most '.(
                $unit === 'm' ? "{$n((float) $state->max)} m" : self::percent((float) $state->max).' effort'
            ).' in one set.',
            'rest' => $state->earliest === null || $state->earliest->equals($on)
                ? 'No rest day is owed.'
                : 'Rest day owed: such work again from '.self::day($state->earliest).'.',
            'streak' => "{$n((float) max($state->used ?? 0, $state->projected ?? 0))} of {$n((float) $state->max)} days in a row.",
            default => $state->projected === null
                ? 'Too short a record to say.'
                : 'Last week is '
                    .self::number(round($state->projected, 2), 2)
                    .' of the month; above '
                    .self::number((float) $state->max, 2)
                    .' is too fast.',
        };
    }

    private static function room(LimitFigures $state, string $unit): string
    {
        $n = self::number(...);

        return $state->status === Status::Over
            ? self::beside((float) $state->projected, (float) $state->max)
                ." of {$n((float) $state->max)} {$unit}: over by "
                .self::beside((float) $state->projected - (float) $state->max, 0.0)
                .'.'
            : "{$n((float) $state->remaining)} of {$n((float) $state->max)} {$unit} left.";
    }

    /** What a limit sums, and over what. */
    public static function limitAbout(Limit $limit): string
    {
        $unit = self::unit($limit);

        return match (true) {
            $limit instanceof CapLimit => ucfirst($unit).(
                $limit->windowDays === null ? ' in one session' : ($limit->windowDays === 1 ? ' a day' : " in {$limit->windowDays} days")
            ),
            $limit instanceof StepLimit => ucfirst($unit).' of seven days against the four weeks before, or against a floor',
            $limit instanceof LevelLimit => 'No single set above',
            $limit instanceof RestLimit => 'Days without, after so many '.$unit,
            $limit instanceof StreakLimit => 'Days running with such work',
            default => 'Last week against the weeks before, weighted',
        };
    }

    /** The value of a limit at one age. */
    public static function limitValue(Limit $limit): string
    {
        $n = self::number(...);

        return match (true) {
            $limit instanceof CapLimit => $n($limit->max),
            $limit instanceof StepLimit => '+'.self::percent($limit->maxIncrease).", floor {$n($limit->floor)}",
            $limit instanceof LevelLimit => $limit->level === 'effort' ? self::percent($limit->max) : "{$n($limit->max)} m",
            $limit instanceof RestLimit => implode(
                ', ',
                array_map(fn (array $row): string => "≥ {$n($row[0])}: {$row[1]}", $limit->table),
            ),
            $limit instanceof StreakLimit => "{$limit->maxDays}",
            $limit instanceof RatioLimit => "{$n($limit->low)} to {$n($limit->high)}, stop {$n($limit->stop)}",
            default => '',
        };
    }

    /** How many are left, and which limit is full then. */
    public static function headroom(Headroom $headroom, BlockPlan $block): string
    {
        $dose = self::dose($block->effort, $block->distanceM);
        if ($headroom->reps === null) {
            return "No limit is set for this at {$dose}.";
        }
        if ($headroom->isPlenty()) {
            return "Plenty left at {$dose}.";
        }

        return $headroom->reps === 0
            ? "None left at {$dose}. ".ucfirst(self::full($headroom->binding)).'.'
            : "{$headroom->reps} left at {$dose}. Then ".self::full($headroom->binding).'.';
    }

    /** @param  list<Limit>  $limits  that leave no room any more */
    public static function full(array $limits): string
    {
        $isUsed = fn (Limit $limit): string => match (DatedLimits::isOne($limit) ? 'dated' : $limit->kind()) {
            'dated' => '',
            'rest' => ' is owed',
            'streak' => ' are used up',
            'level' => ' is at its most',
            default => str_starts_with($limit->label, 'Landings') || str_starts_with($limit->label, 'Hard') ? ' are full' : ' is full',
        };
        $names = array_map(fn (Limit $limit): string => self::limitName($limit->label).$isUsed($limit), $limits);

        return implode(' and ', array_unique($names));
    }

    /** @param  list<Limit>  $limits */
    public static function limitNames(array $limits): string
    {
        return implode(' and ', array_unique(array_map(fn (Limit $limit): string => self::limitName($limit->label), $limits)));
    }

    /** The name of a limit in the middle of a sentence. */
    public static function limitName(string $label): string
    {
        $name = lcfirst((string) preg_replace('/, \d+ %$/', '', $label));

        return str_starts_with($label, 'Daily ') ? "the {$name}" : $name;
    }

    /** What was taken off and why; beside the block it was taken off, so the block is not named. */
    public static function trim(Trim $trim, Day $on): string
    {
        $change = match ($trim->what) {
            'dropped' => $trim->title === null ? 'Left out' : "Left out, “{$trim->title}”",
            'reps' => self::number($trim->from).' → '.self::number($trim->to).' reps',
            'effort' => self::percent($trim->from).' → '.self::percent($trim->to),
            'distance' => self::number($trim->from).' → '.self::number($trim->to).' m',
            'minutes' => 'Still '.self::number($trim->from).' minutes',
        };
        $why = match ($trim->cause) {
            'word' => match ($trim->word) {
                Word::Unknown => 'not checked in',
                Word::None => 'no work for the '.self::channels($trim->channels).' today',
                Word::Refer => 'the '.self::channels($trim->channels).' waits for a clinician',
                default => self::channels($trim->channels).' reduced today',
            },
            'layoff' => $trim->idleDays === null
                ? 'no such work on record yet: start as after a long break'
                : "{$trim->idleDays} idle days: start lower, make nothing up",
            'reach' => 'further is no throw of this effort any more, by the longest on record',
            'own_dose' => 'what this session is for does not fit today',
            'minutes' => $trim->what === 'minutes'
                ? "the warm-up and the cool-down stay, {$trim->minutes} minutes are too few for them"
                : "fitted to {$trim->minutes} minutes",
            default => implode('; ', array_map(
                fn (LimitFigures $state): string => self::limitName($state->label).' ('.rtrim(self::limit($state, $on), '.').')',
                array_slice($trim->limits, 0, 2),
            )),
        };

        return "{$change}: {$why}.";
    }

    /** @param  list<Channel>  $channels */
    public static function channels(array $channels): string
    {
        return implode(' and ', array_map(self::channel(...), $channels));
    }

    public static function criterion(Criterion $criterion): string
    {
        return match ($criterion) {
            Criterion::Evidence => 'Enough judged reps',
            Criterion::Mechanics => 'Mechanics',
            Criterion::Streak => 'Good in a row',
            Criterion::Safety => 'Safety faults',
            Criterion::Fade => 'Holds to the end',
            Criterion::Soreness => 'Soreness',
            Criterion::Readiness => 'Today’s word',
            Criterion::Load => 'Next dose fits',
            Criterion::Prerequisites => 'Builds on',
            Criterion::Clearance => 'Clearance',
        };
    }

    public static function evidence(Criterion $criterion, GateResult $result, Gate $gate, Word $word): string
    {
        $verdict = $result->criteria[$criterion->value];

        return match ($criterion) {
            Criterion::Evidence => "{$result->observed} judged reps on {$result->observedDays} "
                .($result->observedDays === 1 ? 'day' : 'days')
                ."; {$gate->minReps} on {$gate->minSessions} asked",
            Criterion::Mechanics => $result->rate === null
                ? 'no judged rep yet'
                : "{$result->good} of {$result->observed} good: ".self::percentBeside($result->rate, $gate->targetRate)
                    .'. '.self::percent($gate->targetRate).' is needed. At least '
                    .self::percentBeside((float) $result->lowerBound, $gate->lowerBound).' ('.self::percent($gate->confidence).' sure), '
                    .self::percent($gate->lowerBound).' is needed'
                    .($result->awaitsConfirmation ? '. An earlier look was not good enough: two good looks in a row are needed' : ''),
            Criterion::Streak => $gate->streak === null
                ? 'not asked on this rung'
                : "{$result->bestRun} good in a row, asked {$gate->streak}",
            Criterion::Safety => "{$result->safetyFaults} in the last {$gate->safetyWindowReps} reps, at most {$gate->maxSafetyFaults}",
            Criterion::Fade => $result->fade === null
                ? 'fewer than 9 judged reps last time, not judged'
                : 'first third to last third fell '
                    .self::beside(100 * max(0.0, $result->fade), 100 * $gate->maxFade)
                    .' points, at most '
                    .self::number(100 * $gate->maxFade),
            Criterion::Soreness => (
                $result->worstSoreness === null ? 'no report' : "highest {$result->worstSoreness}"
            )." in {$gate->sorenessDays} days, at most {$gate->sorenessMax}"
                .($gate->needsMorningAfter ? ($result->morningAfter ? '; the morning after is in' : '; the morning after is not in') : ''),
            Criterion::Readiness => self::word($word),
            Criterion::Load => match ($verdict) {
                Verdict::Pass => 'the next rung’s dose fits every hard limit on the next planned day',
                Verdict::Fail => 'the next rung’s dose would break a hard limit on the next planned day',
                default => 'cannot be computed',
            },
            Criterion::Prerequisites => match ($verdict) {
                Verdict::Pass => 'earlier rungs are held',
                Verdict::Fail => 'a skill it builds on is not held yet',
                default => 'no place on a ladder it builds on',
            },
            Criterion::Clearance => $verdict === Verdict::Pass ? 'none needed' : 'an open referral waits for a clinician',
        };
    }

    /** @param  bool  $isIll  nothing is done today for a fever, not for what is sore */
    public static function gateHeadline(GateResult $result, ?string $nextRung, bool $isIll): string
    {
        return match ($result->decision) {
            GateDecision::Pause => $isIll ? 'Ill: not today' : 'Too sore for this today',
            GateDecision::StepBack => 'Step back one rung',
            GateDecision::Advance => $nextRung === null ? 'Held: the top of the ladder' : "Ready for “{$nextRung}”",
            GateDecision::Repeat => 'Repeat this rung',
            GateDecision::Hold => 'Hold: more of this rung would not mend it',
            GateDecision::Collect => 'Not yet',
        };
    }

    /** @return list<string> what exactly is missing, as one would say it */
    public static function missing(GateResult $result, Gate $gate, Word $word): array
    {
        $missing = [];
        $is = fn (Criterion $criterion, Verdict ...$verdicts): bool => in_array($result->criteria[$criterion->value], $verdicts, true);
        if ($is(Criterion::Evidence, Verdict::Short)) {
            $reps = $gate->minReps - $result->observed;
            $days = $gate->minSessions - $result->observedDays;
            $missing[] = match (true) {
                $result->observed === 0 => self::count($reps, 'judged rep').($days > 1 ? ", over {$days} days" : ''),
                $reps > 0
                    && $days > 0 => self::count($reps, 'more judged rep').', '.($days === 1 ? 'on another day' : "over {$days} more days"),
                $reps > 0 => self::count($reps, 'more judged rep'),
                default => 'good again on '.($days === 1 ? 'a second day' : "{$days} more days").', then it counts as learnt',
            };
        }
        if ($result->awaitsConfirmation) {
            $missing[] = 'good again on the next look: after one that was not, two in a row are asked';
        }
        if ($is(Criterion::Mechanics, Verdict::Fail)) {
            $missing[] = $result->rate !== null && $result->rate < $gate->targetRate
                ? "{$result->good} of {$result->observed} good: ".self::percentBeside($result->rate, $gate->targetRate)
                    .'. '.self::percent($gate->targetRate).' is needed'
                : self::evidence(Criterion::Mechanics, $result, $gate, $word);
        }
        if ($is(Criterion::Streak, Verdict::Fail)) {
            $missing[] = self::evidence(Criterion::Streak, $result, $gate, $word);
        }
        if ($is(Criterion::Safety, Verdict::Fail)) {
            $missing[] = 'no safety fault: '.self::evidence(Criterion::Safety, $result, $gate, $word);
        }
        if ($is(Criterion::Fade, Verdict::Fail)) {
            $missing[] = 'quality to the end of the session: '.self::evidence(Criterion::Fade, $result, $gate, $word);
        }
        if ($is(Criterion::Soreness, Verdict::Unknown)) {
            $missing[] = $result->lastRepDay === null
                ? 'the morning after the first session'
                : 'the report of the morning after '.self::day($result->lastRepDay);
        }
        if ($is(Criterion::Soreness, Verdict::Fail)) {
            $missing[] = "soreness down to {$gate->sorenessMax}: ".self::evidence(Criterion::Soreness, $result, $gate, $word);
        }
        if ($is(Criterion::Readiness, Verdict::Unknown)) {
            $missing[] = 'today’s check-in';
        }
        if ($is(Criterion::Readiness, Verdict::Fail)) {
            $missing[] = 'the word Full (today: '.self::word($word).')';
        }
        if ($is(Criterion::Load, Verdict::Fail, Verdict::Unknown)) {
            $missing[] = self::evidence(Criterion::Load, $result, $gate, $word);
        }
        if ($is(Criterion::Prerequisites, Verdict::Fail, Verdict::Unknown)) {
            $missing[] = self::evidence(Criterion::Prerequisites, $result, $gate, $word);
        }
        if ($is(Criterion::Clearance, Verdict::Fail)) {
            $missing[] = self::evidence(Criterion::Clearance, $result, $gate, $word);
        }

        return $missing;
    }

    public static function gateAsks(Gate $gate): string
    {
        return "{$gate->minReps} judged reps on ".self::count($gate->minSessions, 'day').', '.self::percent($gate->targetRate).' good'
            .($gate->streak === null ? '' : ", {$gate->streak} in a row")
            .', at most '
                .self::count($gate->maxSafetyFaults, 'safety fault')
                ." in {$gate->safetyWindowReps}, soreness at most {$gate->sorenessMax}"
            .($gate->needsMorningAfter ? ', the morning after reported' : '').'.';
    }

    /** @param  string  $what  name of a block, or of whoever it was and when */
    public static function countChanged(string $what, int $before, int $after): string
    {
        return "{$what}: {$before} → {$after}";
    }

    /**
     * What a match or training elsewhere is expected to take.
     *
     * @param  array<array-key, mixed>  $doses  skill, reps and felt of each
     * @param  array<string, string>  $names  of skills by id
     */
    public static function expectedDoses(array $doses, array $names): string
    {
        return implode(', ', array_map(
            fn (array $dose): string => "{$dose['reps']} × "
                .lcfirst($names[$dose['skill']] ?? $dose['skill'])
                .', '
                .($dose['felt'] ?? 'effort not known, counted as full'),
            $doses,
        ));
    }

    /** An entry that was taken back. */
    public static function takenBack(string $source): string
    {
        return match ($source) {
            'score' => 'a score taken back',
            'spreadsheet' => 'a spreadsheet taken back',
            'match' => 'a match taken back',
            'line-up' => 'not in the match after all',
            'home' => 'practice at home taken back',
            'other club' => 'training elsewhere taken back',
            'beside' => 'strength, bands or sprints taken back',
            default => 'logged work taken back',
        };
    }

    /** Work entered without a sheet: where, how many of what. */
    public static function entered(string $source, int $reps, string $skill): string
    {
        return match ($source) {
            'here' => 'Here, beside the plan',
            'match' => 'In a match',
            default => self::workedAt($source),
        }.": {$reps} × ".lcfirst($skill);
    }

    /** Where work was done that has no sheet, as a title. */
    public static function workedAt(string $source): string
    {
        return match ($source) {
            'home' => 'At home',
            'match' => 'Match',
            'beside' => 'Strength, bands or sprints',
            default => 'At another club',
        };
    }

    public static function count(int $n, string $noun): string
    {
        return "{$n} {$noun}".($n === 1 ? '' : 's');
    }

    public static function percent(float $share): string
    {
        return self::number(round(100 * $share)).' %';
    }

    /** A share beside the bound it is held against: never rounded across it. */
    public static function percentBeside(float $share, float $bound): string
    {
        return self::beside(100 * $share, 100 * $bound, 0).' %';
    }

    /** A figure beside a bound, with as many decimals as it takes to stay on its side of it. */
    public static function beside(float $value, float $bound, int $decimals = 1): string
    {
        $side = fn (float $of): int => abs($of - $bound) <= 1e-7 ? 0 : $of <=> $bound;
        while ($decimals < 6 && $side(round($value, $decimals)) !== $side($value)) {
            $decimals++;
        }

        return self::number(round($value, $decimals), $decimals);
    }

    /** A length below a metre in centimetres, as one would step it out or say it. */
    public static function length(float $metres): string
    {
        return abs($metres) < 0.995 ? round(100 * $metres).' cm' : self::number($metres, 2).' m';
    }

    public static function number(float $value, int $decimals = 1): string
    {
        $text = number_format($value, $decimals, '.', ' ');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    public static function day(Day $day): string
    {
        return gmdate('D j M', $day->ordinal * 86400);
    }
}
