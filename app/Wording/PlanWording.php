<?php

declare(strict_types=1);

namespace App\Wording;

use App\Sessions\PlanAct;
use App\Sessions\SessionChange;
use Augendo\Core\Day;
use Augendo\Core\Load\Channel;
use Augendo\Core\Planning\Carried;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\LearningRate;
use Augendo\Core\Planning\Rhythm;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SeasonProblem;
use Augendo\Core\Planning\Sharing;
use Augendo\Core\Planning\SkillPlan;
use Augendo\Core\Planning\SkillsPlan;
use Augendo\Core\Planning\Suggestion;
use Augendo\Core\Planning\SuggestionKind;
use Augendo\Core\Stations\WhyOut;

/** Seasons in words. */
final class PlanWording
{
    private const WEEKDAYS = [1 => 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

    public static function emphasis(Emphasis $emphasis): string
    {
        return match ($emphasis) {
            Emphasis::Heavy => 'Heavy day',
            Emphasis::Light => 'Light day',
            Emphasis::LightWeek => 'Lighter week',
            Emphasis::Taper => 'Fresh for the goal',
            Emphasis::AroundMatch => 'Light for a match',
            Emphasis::BeforeMatch => 'Light, match tomorrow',
            Emphasis::Test => 'Test day',
            Emphasis::Stage => 'Stage of the return',
        };
    }

    /** @param  'reps'|'effort'|'distance'  $what */
    public static function raised(string $what): string
    {
        return match ($what) {
            'reps' => 'more reps',
            'effort' => 'more effort',
            'distance' => 'more distance',
        };
    }

    /** @return list<string> why a day of a season is as it is */
    public static function whyDay(SeasonDay $day): array
    {
        $match = $day->protects === null ? '' : "“{$day->protects->title}” on ".Wording::day($day->protects->day);
        $heavy = $day->lastHeavy === null ? null : Wording::day($day->lastHeavy);
        $since = $day->lastHeavy === null ? '' : Wording::count($day->day->daysSince($day->lastHeavy), 'day');
        $why = [match ($day->emphasis) {
            Emphasis::Heavy => $heavy === null
                ? 'Heavy: the days before it were not.'
                : "Heavy: {$since} after the last heavy day, {$heavy}.",
            Emphasis::Light => $heavy === null
                ? 'Between two stages of the way back: nothing for the part that mends.'
                : "Light: {$heavy} is heavy, and ".Wording::count(Rhythm::HEAVY_APART_DAYS - 1, 'day').' lie between heavy ones.',
            Emphasis::LightWeek => 'Lighter week: about '.Wording::percent(Emphasis::LightWeek->share()).' of what the week before held.',
            Emphasis::Taper => 'The last days before the goal: fewer reps, the effort kept, nothing new.',
            Emphasis::AroundMatch => $day->protects?->day->isAfter($day->day) === true
                ? "Light for {$match}: fewer reps, less effort."
                : "Light after {$match}.",
            Emphasis::BeforeMatch => 'Match tomorrow: '.Wording::percent(Emphasis::BeforeMatch->share()).' of the reps, less effort.',
            Emphasis::Test => 'Test day in place of a heavy one: met fresh, counted as load, and only with the word Full.',
            Emphasis::Stage, null => '',
        }];
        if ($day->begins && $day->rung !== null) {
            $from = $day->pace?->distanceM === null ? '' : ', from '.Wording::length($day->pace->distanceM);
            $why[] = "“{$day->rung->name}” begins{$from}. That is new enough for a day: the effort does not rise.";
        }
        foreach ($day->pace->raised ?? [] as $raised) {
            $why[] = ucfirst(self::raised($raised)).' than on the last heavy day, and nothing else.';
        }

        return array_values(array_filter($why));
    }

    /** @param  list<int>  $leads  days of a fortnight, see core Planning\Together */
    public static function leads(array $leads): string
    {
        $names = [];
        foreach (self::WEEKDAYS as $day => $name) {
            $times = count(array_intersect([$day, $day + 7], $leads));
            if ($times > 0) {
                $names[] = $times === 2 ? substr($name, 0, 3) : 'every other '.substr($name, 0, 3);
            }
        }

        return implode(', ', $names);
    }

    /** @param  string|null  $goal  name of its rung; null: the rung is held */
    public static function outlook(SkillPlan $of, ?string $goal): string
    {
        $alone = SkillPlan::repsOf($of->alone);
        $reps = SkillPlan::repsOf($of->plan);
        $given = $reps >= $alone ? 'It gives up nothing for the others.' : "{$reps} of the {$alone} reps it would have alone.";
        if ($goal === null || $of->plan->expected === []) {
            return "Holds its rung. {$given}";
        }
        $begun = SkillPlan::goalBegun($of->plan);
        $begunAlone = SkillPlan::goalBegun($of->alone);
        $when = match (true) {
            $begun === null => "“{$goal}” is not in sight within half a year of the goal day.",
            $of->daysLate() > 0 => "“{$goal}” likely by ".Wording::day($begun).', '.Wording::count($of->daysLate(), 'day').' late.',
            default => "“{$goal}” likely by ".Wording::day($begun).', in time.',
        };
        $later = $begun === null || $begunAlone === null ? 0 : $begun->daysSince($begunAlone);
        $than = $later > 0 ? ' Alone: '.Wording::count($later, 'day').' sooner.' : '';

        return "{$when}{$than} {$given}";
    }

    public static function chosen(SkillsPlan $plan): string
    {
        $for = $plan->sharing === Sharing::InOrder
            ? 'each goal as soon as it can be, in this order; then as many reps as each would have alone'
            : 'the goal that comes latest as soon as it can be; then reps shared evenly';

        return $plan->ways <= 1
            ? "Chosen for {$for}. There is one way of sharing these days out."
            : "Chosen for {$for}. Of {$plan->ways} ways of sharing the days out, the {$plan->simulated} most promising were simulated "
                .'whole.';
    }

    /** @param  string  $others  names of other ladders */
    public static function alsoThatDay(string $others): string
    {
        return "{$others} on this day as well.";
    }

    public static function undivided(): string
    {
        return 'These days do not give every skill a heavy day of its own: heavy work of two may fall on one day. Give each a day more.';
    }

    /**
     * @param  list<string>  $names  of the skills, in the coach's order
     * @return string|null null where the next best costs nothing, or there is none
     */
    public static function nextBest(SkillsPlan $plan, array $names): ?string
    {
        $costs = $days = [];
        foreach ($plan->nextBest ?? [] as $at => $other) {
            $of = $plan->skills[$at];
            $days[] = "{$names[$at]} heavy on ".self::leads($other->leads ?? []);
            $later = $other->daysLate() - $of->daysLate();
            $fewer = SkillPlan::repsOf($of->plan) - SkillPlan::repsOf($other->plan);
            if ($later !== 0) {
                $costs[] = "{$names[$at]}’s goal ".Wording::count(abs($later), 'day').($later > 0 ? ' later' : ' sooner');
            }
            if ($fewer !== 0) {
                $costs[] = abs($fewer).($fewer > 0 ? ' fewer' : ' more').(abs($fewer) === 1 ? ' rep' : ' reps')." of {$names[$at]}";
            }
        }

        return $costs === [] ? null : 'Next best: '.implode(', ', $days).'. That would mean '.implode(', ', $costs).'.';
    }

    public static function learning(LearningRate $rate): string
    {
        $times = Wording::number($rate->likely);
        $rests = match (true) {
            $rate->ownRungs > 0 && $rate->squadRungs > 0 => 'From '.Wording::count($rate->ownRungs, 'rung').' climbed here and '
                .Wording::count($rate->squadRungs, 'rung').' of the squad',
            $rate->ownRungs > 0 => 'From '.Wording::count($rate->ownRungs, 'rung').' climbed here',
            $rate->squadRungs > 0 => 'From '.Wording::count($rate->squadRungs, 'rung').' the squad climbed, none here yet',
            default => 'No rung was climbed here yet',
        };

        return "{$rests}: {$times} times the sessions a gate asks for. Four in five lie between early and late.";
    }

    /** @param  list<float>  $weeks  units each week of the plan holds */
    public static function begunFrom(Carried $carried, array $weeks): string
    {
        $unit = $carried->channel === Channel::Landing ? 'landing units' : 'units of the '.lcfirst(Wording::channel($carried->channel));
        $held = $weeks === [] ? '' : ' This plan holds '.Wording::number(min($weeks), 0).' to '.Wording::number(max($weeks), 0)
            .' a week: what the rungs ask for and the last weeks carried, and nothing because there is room.';

        return $carried->unitsAWeek <= 0.0
            ? "Nothing is on record in the last four weeks, so it begins low.{$held}"
            : 'The last four weeks carried '.Wording::number($carried->unitsAWeek, 0)." {$unit} a week"
                .($carried->besideAWeek > 0.5 ? ', and '.Wording::number($carried->besideAWeek, 0).' are planned beside this' : '')
                .".{$held}";
    }

    /** @return array{string, string|null} what is seen, and what could be done about it */
    public static function suggestion(Suggestion $said, Channel $channel): array
    {
        $bound = Wording::number($said->bound ?? 0.0, 0);
        $sure = $said->low === null || $said->high === null
            ? ''
            : ' The difference lies between '.Wording::percent($said->low).' and '.Wording::percent($said->high)
                .' ('.Wording::percent((float) $said->confidence).' sure).';
        $part = lcfirst(Wording::channel($channel));
        if ($said->value === null) {
            return [
                "Sore ({$part}) on {$said->aboveBad} of {$said->above} mornings after work: too few mornings to tell after how much.",
                null,
            ];
        }

        return match ($said->kind) {
            SuggestionKind::Units => [
                "Sore ({$part}) on {$said->aboveBad} of {$said->above} mornings after more than {$bound} units, on {$said->belowBad} of "
                    ."{$said->below} after less.{$sure}",
                'Sessions of at most '.Wording::number($said->value, 0).' units',
            ],
            SuggestionKind::Reps => [
                "Not good: {$said->aboveBad} of {$said->above} reps after the first {$bound} of a session, {$said->belowBad} of "
                    ."{$said->below} among them.{$sure}",
                'At most '.Wording::number($said->value, 0).' reps of the rung a session',
            ],
            SuggestionKind::Effort => [
                "Harder than asked in {$said->aboveBad} of {$said->above} measured sets: in the median by "
                    .Wording::percent($said->low ?? 0.0).' to '.Wording::percent($said->high ?? 0.0).' of full effort ('
                    .Wording::percent((float) $said->confidence).' sure).',
                'Ask for '.Wording::percent($said->value).' less',
            ],
        };
    }

    /** @param  array<string, mixed>|null  $agreed  a day of a season as it is kept */
    public static function agreedDay(?array $agreed): ?string
    {
        if ($agreed === null) {
            return null;
        }
        $reps = (int) ($agreed['reps'] ?? 0);

        return "“{$agreed['title']}”, ".($reps > 0 ? Wording::count($reps, 'rep') : 'nothing counted');
    }

    /** @param  list<int>  $weekdays */
    public static function weekdays(array $weekdays): string
    {
        return implode(', ', array_map(fn (int $day): string => self::WEEKDAYS[$day], $weekdays));
    }

    /** @param  string|null  $athlete  given name, where the change was about one and the reader may see them */
    public static function change(SessionChange $change, ?string $athlete): string
    {
        $about = $change->about;
        $day = Day::of($about['day']);
        $what = "“{$about['title']}”, ".Wording::day($day)." {$about['starts_at']}";
        $more = $about['sessions'] > 1 ? ' and '.Wording::count($about['sessions'] - 1, 'session').' after it' : '';

        return match ($change->kind) {
            PlanAct::Planned => "{$what}{$more}: planned.",
            PlanAct::Copied => Wording::count($about['sessions'], 'session').' copied from the week before, the first '
                .Wording::day($day).'.',
            PlanAct::Moved => "{$what}{$more}: moved to ".Wording::day(Day::of($about['to'] ?? $about['day']))
                .' '.($about['to_starts_at'] ?? $about['starts_at']).'.',
            PlanAct::Changed => "{$what}{$more}: changed.",
            PlanAct::CalledOff => "{$what}{$more}: called off, “".($about['reason'] ?? '').'”.',
            PlanAct::Deleted => "{$what}{$more}: deleted.",
            PlanAct::Closed => "{$what}: closed, who was not counted taken out.",
            PlanAct::Joined => "{$what}: ".($athlete ?? 'somebody').' added.',
            PlanAct::TakenOut => "{$what}: ".($athlete ?? 'somebody').' taken out.',
            PlanAct::Swapped => "{$what}: work of ".($athlete ?? 'somebody').' swapped.',
        };
    }

    /** @param  string  $dose  its title */
    public static function leftOut(string $dose, WhyOut $why): string
    {
        return ucfirst($dose).': '.match ($why) {
            WhyOut::Space => 'no space can hold it.',
            WhyOut::Balls => 'too few balls.',
            WhyOut::Adult => 'an adult has to stand by.',
            WhyOut::Time => 'no time.',
        };
    }

    /** @return array{string, string} what is so, and the way out */
    public static function problem(SeasonProblem $problem, SeasonAsk $planned, ?string $reached): array
    {
        $limits = implode(
            ', ',
            array_slice(array_unique(array_map(lcfirst(...), $problem->limits)), 0, 3),
        );
        $day = $problem->day === null ? '' : Wording::day($problem->day);

        return match ($problem->code) {
            'goal_past' => [
                'The goal day is not ahead.',
                'Planned up to '.Wording::day($planned->goalDay).' instead. Choose a goal day from tomorrow on.',
            ],
            'no_free_day' => [
                'No day is left to train on.',
                'Planned on '
                    .self::weekdays($planned->weekdays)
                    .' instead, two days apart. Choose at least one weekday, or take a day off back.',
            ],
            'too_near' => $problem->day === null
                ? [
                    'The goal is out of reach on these days.',
                    'By the goal day: “'.$reached.'”. More training days or a nearer rung would do.',
                ]
                : [
                    'The goal is too near at the rate the rungs are climbed.',
                    "Likely by {$day}, with the last days before it for the goal. By the goal day: “{$reached}”. "
                        .'A later goal day, more training days or a nearer rung would do.',
                ],
            'nothing_fits' => [
                'No session holds any counted work.',
                (
                    $limits === '' ? 'The time or the word leaves nothing' : "What leaves nothing: {$limits}"
                ).'. Nothing breaks a hard limit; see Limits for the rule set in force.',
            ],
            'match_trimmed' => [
                "Match on {$day}: {$problem->fits} of {$problem->of} expected reps fit.",
                "Held back by {$limits}. Plan a shorter appearance; the days before are light already.",
            ],
            'match_during_return' => [
                "Match on {$day} lies on the way back.",
                'It is not played before the stages are done. The goal may be a later match.',
            ],
            'elsewhere_over' => [
                "What is planned elsewhere on {$day} breaks a hard limit by itself: {$limits}.",
                'Talk to the other coach: one shoulder carries both. Nothing of ours is planned on top of it.',
            ],
            'stopped' => ['The return is stopped.', 'Nothing is planned past it. A clinician’s clearance opens it again.'],
        };
    }
}
