<?php

declare(strict_types=1);

namespace App\Limits;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Courtside\Answers\HonestEffortView;
use App\Courtside\DailyTotals;
use App\Gates\Placement;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\Answers\DaySetView;
use App\Limits\Answers\DayWorkView;
use App\Limits\Answers\LoadEventView;
use App\Limits\Answers\LoadLaneDayView;
use App\Limits\Answers\LoadView;
use App\Limits\Answers\ProtectDayView;
use App\Limits\Answers\ProtectView;
use App\Limits\Answers\WhatIfView;
use App\Returns\ReturnAttempt;
use App\Seasons\Fixture;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\FirstFit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Limits\RatioLimit;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\HonestEffort;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\RatioMethod;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Load\YearRound;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Layoff;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Planning\SessionFrame;
use Illuminate\Support\Facades\DB;

/** What did it cost, what is left, on which limit, and what if. */
final class LoadScreen
{
    private const DAYS_AHEAD = 28;

    private const MEASURES = ['arm', 'hand', 'trunk', 'landings', 'high_reps', 'metres'];

    public function __construct(private readonly Library $library, private readonly MeasuredEfforts $efforts) {}

    public function view(Athlete $athlete, Day $on, int $daysBack): LoadView
    {
        $day = new AthleteDay($athlete, $on);
        $names = $this->library->skillNames();

        return new LoadView(
            athlete: Cards::athlete($athlete, $on),
            date: $on->iso(),
            days: $this->days($day, $daysBack),
            events: $this->events($day, $on->plus(-$daysBack)),
            caps: $this->caps($day),
            protect: $this->protect($day),
            honest: $this->honest($day),
            year: self::year($day),
            skills: array_map(fn (string $id): NamedView => new NamedView($id, $names[$id]), array_keys($names)),
            ratio_band: self::ratioBand($day),
        );
    }

    /** @return list<LoadLaneDayView> */
    private function days(AthleteDay $day, int $daysBack): array
    {
        $record = $day->load->record;
        $planned = [];
        foreach ($day->load->plans as $set) {
            foreach (self::MEASURES as $measure) {
                $planned[$set->day][$measure] = ($planned[$set->day][$measure] ?? 0.0) + $set->cost[$measure];
            }
        }
        $series = [];
        foreach ([...self::MEASURES, 'internal'] as $measure) {
            $series[$measure] = $record->wholeSeries(Measure::from($measure));
        }
        $with = $record->with($day->load->plans);
        $arm = $with->wholeSeries(Measure::Arm);
        $from = $day->on->ordinal - $daysBack;
        $soreness = DB::table('soreness_reports')
            ->where('athlete_id', $day->athlete->id)
            ->whereNull('withdrawn_at')
            ->where('day', '>=', Day::fromOrdinal($from)->iso())
            ->groupBy('day')
            ->selectRaw('day, max(score) as score')
            ->pluck('score', 'day')
            ->mapWithKeys(fn ($score, string $on): array => [substr($on, 0, 10) => (int) $score])
            ->all();
        $step = $day->limits->armStep($day->on, $record);
        $last = null;
        $views = [];
        for ($ordinal = $from; $ordinal <= $day->on->ordinal + self::DAYS_AHEAD; $ordinal++) {
            $on = Day::fromOrdinal($ordinal);
            $at = fn (string $measure): float => $series[$measure]->on($ordinal);
            $plan = fn (string $measure): float => $planned[$ordinal][$measure] ?? 0.0;
            $last = $at('arm') + $at('landings') > 0.0 ? $ordinal : $last;
            $views[] = new LoadLaneDayView(
                date: $on->iso(),
                arm: $at('arm'),
                hand: $at('hand'),
                trunk: $at('trunk'),
                landings: $at('landings'),
                high_reps: $at('high_reps'),
                metres: $at('metres'),
                internal: $at('internal'),
                planned_arm: $plan('arm'),
                planned_hand: $plan('hand'),
                planned_trunk: $plan('trunk'),
                planned_landings: $plan('landings'),
                planned_high_reps: $plan('high_reps'),
                planned_metres: $plan('metres'),
                week: $arm->sum($ordinal - 6, $ordinal),
                week_max: $step?->gauge($with, $on)->read([])->max,
                ratio: RatioMethod::Ewma->ratio($arm, $ordinal),
                soreness: $soreness[$on->iso()] ?? null,
                idle: $last !== null && $ordinal <= $day->on->ordinal && $ordinal - $last >= Layoff::LOWER_DAYS,
            );
        }

        return $views;
    }

    /** @return list<LoadEventView> */
    private function events(AthleteDay $day, Day $from): array
    {
        $athlete = $day->athlete;
        $events = [];
        foreach (
            Placement::query()
                ->where('athlete_id', $athlete->id)
                ->where('entered_on', '>=', $from->iso())
                ->orderBy('entered_at')
                ->get() as $placement
        ) {
            $events[] = new LoadEventView(
                substr($placement->entered_on, 0, 10),
                'rung',
                $this->library->ladder($placement->ladder, $placement->ladder_version)->rung($placement->rung)->name ?? $placement->rung,
            );
        }
        foreach ($day->returns->all($athlete->id) as $return) {
            $stages = $return->programmeAsOpened()->stages;
            foreach (
                $return
                    ->attempts
                    ->filter(fn (ReturnAttempt $attempt): bool => substr($attempt->day, 0, 10) >= $from->iso()) as $attempt
            ) {
                $events[] = new LoadEventView(
                    substr($attempt->day, 0, 10),
                    'stage',
                    'Stage '.($attempt->stage + 1).", {$stages[$attempt->stage]->name}",
                );
            }
        }
        foreach ($day->load->fixtures->ahead($athlete->id) as $fixture) {
            if ($fixture->day()->ordinal <= $day->on->ordinal + self::DAYS_AHEAD) {
                $events[] = new LoadEventView(
                    $fixture->day()->iso(),
                    $fixture->kind,
                    $fixture->title,
                );
            }
        }
        foreach (
            DB::table('work_sets')
                ->where('athlete_id', $athlete->id)
                ->where('day', '>=', $from->iso())
                ->whereIn('source', array_values(Fixture::SOURCES))
                ->distinct()
                ->get(['day', 'source']) as $row
        ) {
            $events[] = new LoadEventView(
                substr($row->day, 0, 10),
                (string) array_search($row->source, Fixture::SOURCES, true),
                Wording::workedAt($row->source),
            );
        }
        usort($events, fn (LoadEventView $a, LoadEventView $b): int => $a->date <=> $b->date);

        return $events;
    }

    /** @return list<float> low, high and stop of the arm's ratio limit */
    private static function ratioBand(AthleteDay $day): array
    {
        foreach ($day->limits->on($day->on, $day->load->record) as $limit) {
            if ($limit instanceof RatioLimit && $limit->measure === Measure::Arm && $limit->appliesAt($day->load->age)) {
                return [$limit->low, $limit->high, $limit->stop];
            }
        }

        return [];
    }

    /** @return array<string, float>|\stdClass */
    private function caps(AthleteDay $day): array|\stdClass
    {
        $caps = [];
        foreach ($day->limits->on($day->on, $day->load->record) as $limit) {
            if (
                $limit instanceof CapLimit
                && $limit->windowDays === 1
                && $limit->isHard()
                && $limit->measure !== null
                && $limit->appliesAt($day->load->age)
                && ! str_ends_with($limit->id, ':other')
            ) {
                $caps[$limit->measure->value] = min($caps[$limit->measure->value] ?? INF, $limit->max);
            }
        }

        return $caps === [] ? new \stdClass : $caps;
    }

    /** The most that each day before the next match may hold, when the match is to keep its own. */
    private function protect(AthleteDay $day): ?ProtectView
    {
        $match = $day->load->fixtures->ahead($day->athlete->id, Fixture::MATCH)[0] ?? null;
        $placement = array_values($day->ladders->placementsOf($day->athlete))[0] ?? null;
        if ($match === null || $placement === null || $match->day()->equals($day->on)) {
            return null;
        }
        $dose = BlockPlan::asAsked($day->ladders->rung($placement)->ownDose());
        $days = [];
        $first = max($day->on->ordinal, $match->day()->ordinal - MatchEvent::PROTECT_DAYS);
        for ($ordinal = $first; $ordinal < $match->day()->ordinal; $ordinal++) {
            $on = Day::fromOrdinal($ordinal);
            $before = array_values(array_filter($day->load->plans, fn (CostedSet $set): bool => $set->day < $ordinal));
            $from = array_values(array_filter($day->load->plans, fn (CostedSet $set): bool => $set->day >= $ordinal));
            $room = (new SessionFrame(
                on: $on,
                session: 'protect',
                price: $day->load->price,
                readiness: $day->readiness,
                record: $day->load->record->with($before),
                limits: $day->limits,
                otherPlans: $from,
                layoff: Layoff::days(0),
                throwing: $day->athlete->throwing_side,
            ))->roomBeforeLater(
                $dose->oneRep($on, 'protect', $day->load->price),
            );
            $days[] = new ProtectDayView(
                $on->iso(),
                $room->reps,
                array_values(array_unique(array_map(fn (Limit $limit): string => $limit->label, $room->binding))),
            );
        }

        return new ProtectView(
            $match->title,
            $match->day()->iso(),
            lcfirst($dose->asked->title).' at '.Wording::dose($dose->effort, $dose->distanceM),
            $days,
        );
    }

    /** @return list<HonestEffortView> for each skill with something measured */
    private function honest(AthleteDay $day): array
    {
        $pairs = $this->efforts->of($day->athlete->id, $day->load->profile, $day->on);
        $names = $this->library->skillNames();

        return array_values(array_map(function (string $skill, array $of) use ($names): HonestEffortView {
            $honest = HonestEffort::of($of);
            $points = fn (float $share): string => ($share > 0 ? '+' : '').round(100 * $share);
            $sentence = match (true) {
                $honest === null => count($of).' measured sets: too few to tell, '.HonestEffort::LEAST_SETS.' are needed.',
                $honest->low > 0.0 => "Done harder than asked: by {$points($honest->difference)} points in the median"
                    ." (80 % interval {$points($honest->low)} to {$points($honest->high)}). Ask for less, or shorten the distance.",
                $honest->high < 0.0 => 'Not thrown harder than asked, as far as distance can tell.',
                default => 'About as hard as asked, as far as distance can tell.',
            };

            return new HonestEffortView(
                skill: $names[$skill],
                sets: count($of),
                difference: $honest?->difference,
                low: $honest?->low,
                high: $honest?->high,
                sentence: $sentence,
            );
        }, array_keys($pairs), $pairs));
    }

    /** @return list<string> */
    private static function year(AthleteDay $day): array
    {
        $year = YearRound::of($day->load->record->wholeSeries(Measure::Arm), $day->on);
        $sports = DB::table('work_sets')
            ->where('athlete_id', $day->athlete->id)
            ->where('day', '>', $day->on->plus(-28)->iso())
            ->where('source', 'other club')
            ->exists();

        return array_values(array_filter([
            ! $year->isKnown()
                ? 'Too little on record for a yearly view.'
                : "Overhead work in {$year->monthsWorked} of the last 12 months, {$year->longestOffDays} days off in one piece at most.",
            $year->isShortOfRest()
                ? 'Fewer than two months off in the year. Plan a time without overhead work.'
                : null,
            $sports ? 'Two clubs at once in the last four weeks: one shoulder carries both.' : null,
        ]));
    }

    public function day(Athlete $athlete, Day $day): DayWorkView
    {
        $names = $this->library->skillNames();
        $sets = DB::table('work_sets')->where('athlete_id', $athlete->id)->where('day', $day->iso())->orderBy('id')->get();
        $sessions = DB::table('sheets')
            ->where('athlete_id', $athlete->id)
            ->where('held_on', $day->iso())
            ->whereNotNull('minutes')
            ->get(['minutes', 'session_rpe']);

        return new DayWorkView($day->iso(), $sets->map(function (object $set) use ($names): DaySetView {
            $cost = DailyTotals::toCost($set);

            return new DaySetView(
                what: $set->source === 'declared' ? 'Declared usual week, at eight tenths' : $names[$set->skill] ?? $set->skill,
                source: $set->source,
                estimated: (bool) $set->estimated,
                reps: (int) $set->reps,
                effort: $set->effort === null ? null : (float) $set->effort,
                distance_m: $set->distance_m === null ? null : (float) $set->distance_m,
                side: $set->side,
                arm: $cost['arm'],
                hand: $cost['hand'],
                trunk: $cost['trunk'],
                landings: $cost['landings'],
            );
        })->all(), $sessions->map(
            fn (object $sheet): string => "{$sheet->minutes} minutes at exertion {$sheet->session_rpe}: "
                .Wording::number($sheet->minutes * $sheet->session_rpe)
                .' units',
        )->all());
    }

    /** “What if two more sets of eight at 80 %”: every limit the dose touches, with it. */
    public function whatIf(Athlete $athlete, Day $on, Day $then, string $skillId, int $reps, float $effort, ?float $distanceM): WhatIfView
    {
        $skill = $this->library->skills()[$skillId] ?? throw new Problem(ProblemType::NotFound, 'There is no such skill.');
        $day = new AthleteDay($athlete, $on);
        $load = $day->load;
        $set = fn (Day $at, int $n): CostedSet => $load->price->of(
            WorkSet::ordinarily($at, 'what if', $skill, $n, $effort, $distanceM),
        );
        $before = array_values(array_filter($load->plans, fn (CostedSet $each): bool => $each->day < $then->ordinal));
        $sameDay = $load->plansOn($then);
        $board = $day->limits->board($then, $load->record->with($before));
        $touched = array_values(
            array_filter(
                $board->states([...$sameDay, $set($then, $reps)]),
                fn (LimitState $state): bool => $state->limit->touches($set($then, 1)),
            ),
        );
        $over = array_values(array_filter($touched, fn (LimitState $state): bool => $state->limit->isHard() && $state->isOver()));
        $left = $board->headroom($set($then, 1), $sameDay);
        $dose = "{$reps} × ".lcfirst($this->library->skillNames()[$skillId]).' at '.Wording::dose($effort, $distanceM);
        $fitsOn = $over === [] ? $then : FirstFit::day(
            from: $then->plus(1),
            dose: fn (Day $at): CostedSet => $set($at, $reps),
            oneRep: fn (Day $at): CostedSet => $set($at, 1),
            record: $load->record->with(array_values(
                array_filter($load->plans, fn (CostedSet $each): bool => $each->day <= $then->ordinal),
            )),
            plans: array_values(array_filter($load->plans, fn (CostedSet $each): bool => $each->day > $then->ordinal)),
            limits: $day->limits,
        );
        $sentence = $over === []
            ? "{$dose} fit on ".Wording::day($then).($left->reps === null ? '.' : '; '.max(0, $left->reps - $reps).' more would, too.')
            : "{$dose} do not fit on "
                .Wording::day($then)
                .': '
                .Wording::limitNames(array_map(fn (LimitState $state): Limit => $state->limit, $over))
                .' would be over. '
                .($left->reps ?? 0)
                .' fit'
                .(
                    $fitsOn === null
                        ? ', and on no day of the next five weeks the whole of it.'
                        : ', the whole of it first on '.Wording::day($fitsOn).'.'
                );

        return new WhatIfView($sentence, $over === [], $fitsOn?->iso(), Tapes::inPlay($touched, $then));
    }
}
