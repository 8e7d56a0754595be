<?php

declare(strict_types=1);

// Five seasons in full, as a coach reads them: php bench/plans.php. They are judged line by line in docs/plans.md.

require dirname(__DIR__).'/vendor/autoload.php';

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\MatchDose;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SeasonPlan;
use Augendo\Core\Planning\SeasonPlanner;
use Augendo\Core\Planning\SeasonReturn;
use Augendo\Core\Planning\Standing;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Returning\StageClearance;

const FROM = '2027-03-15';
const SPORTS = [2, 6];

$library = new Library(dirname(__DIR__).'/library');
$limits = $library->ruleSet('starter')->limits;
$from = Day::of(FROM);

/** @return list<CostedSet> so many repetitions on these weekdays of the weeks from one to another, counted back from the first day */
$weeks = function (
    SetCost $price, string $skill, int $reps, float $effort, array $weekdays, int $first, int $last,
) use ($library, $from): array {
    $sets = [];
    foreach (range($first, $last) as $week) {
        foreach ($weekdays as $weekday) {
            $on = $from->plus(7 * $week + $weekday - 1);
            $sets[] = $price->of(WorkSet::ordinarily($on, "{$skill} {$on->iso()}", $library->skills()[$skill], $reps, $effort));
        }
    }

    return $sets;
};

/** What differs from one season to the next; the rest is the same for all. */
$plan = function (
    string $ladder, int $rung, int $age, array $weekdays, int $weeksAhead, ?array $marks = null, ?callable $record = null,
    ?callable $beside = null, array $matches = [], ?SeasonReturn $return = null,
) use ($library, $limits, $from): SeasonPlan {
    $profile = new AthleteProfile($from->plus(-366 * $age), $marks ?? []);
    $price = new SetCost($profile);
    $nothingSore = new SorenessReport(Instant::of(FROM.'T08:00:00Z'), Moment::Morning, Site::None, null, Kind::Muscle, 0);
    $calm = Readiness::on($from, $age, [$nothingSore], []);
    $page = $library->ladder($ladder)->forAthlete($profile, $from, $library->doses());

    return SeasonPlanner::plan(
        ask: new SeasonAsk(
            from: $from,
            goalDay: $from->plus(7 * $weeksAhead - 1),
            weekdays: $weekdays,
            goalRung: $page->rungs[count($page->rungs) - 1]->id,
            matches: $matches,
        ),
        ladder: $page,
        standing: new Standing($page->rungs[$rung]->id, shares: $library->doses()->at($age)),
        price: $price,
        record: new LoadRecord($record === null ? [] : $record($price)),
        limits: new LimitCalendar(
            $limits, $profile, array_map(fn (MatchEvent $match): int => $match->day->ordinal, $matches), returning: $return !== null,
        ),
        throwing: Handedness::Right,
        today: $calm,
        calm: $calm,
        return: $return,
        otherPlans: $beside === null ? [] : $beside($price),
    );
};

$match = fn (int $day, string $title, string $skill, int $reps): MatchEvent => new MatchEvent(
    "m{$day}", $from->plus($day), $title, [new MatchDose($library->skills()[$skill], $reps, 0.95)],
);

$seasons = [
    'A child of 9 with two sports: overhand throw twice a week here, handball twice a week elsewhere' => $plan(
        'overhand-throw', 2, 9, [1, 4], 12,
        record: fn (SetCost $price): array => [
            ...$weeks($price, 'handball-standing-throw', 25, 0.6, SPORTS, -8, -1),
            ...$weeks($price, 'overhand-throw', 15, 0.5, [1, 4], -8, -1),
        ],
        beside: fn (SetCost $price): array => $weeks($price, 'handball-standing-throw', 25, 0.6, SPORTS, 0, 11),
    ),
    'A 13-year-old on the way back from a shoulder: float serve' => $plan(
        'volleyball-float-serve', 4, 13, [1, 3, 5], 12,
        return: new SeasonReturn(
            $library->programme('serves-effort-first'), 0, [], [new StageClearance(Day::of('2027-03-10'), null)], null,
            Side::Dominant, $library->objects()['nothing'], 120.0,
        ),
        record: fn (SetCost $price): array => $weeks($price, 'float-serve', 40, 0.7, [1, 3, 5], -14, -6),
    ),
    'A 17-year-old before nationals with three matches: volleyball jump serve, four days a week' => $plan(
        'volleyball-jump-serve', 3, 17, [1, 2, 4, 6], 12,
        record: fn (SetCost $price): array => $weeks($price, 'jump-serve', 45, 0.75, [1, 2, 4, 6], -8, -1),
        matches: [
            $match(27, 'League', 'jump-serve', 30),
            $match(55, 'Regional final', 'jump-serve', 45),
            $match(83, 'Nationals', 'jump-serve', 60),
        ],
    ),
    'A thrower of 28 after a winter off: javelin, three days a week' => $plan(
        'javelin-throw', 4, 28, [1, 3, 5], 12, ['javelin' => 52.0],
        record: fn (SetCost $price): array => $weeks($price, 'javelin', 50, 0.8, [1, 3, 5], -40, -14),
    ),
    'A beginner of 45: racket serve, twice a week' => $plan('racket-serve', 0, 45, [2, 5], 12),
];

$line = function (SeasonDay $day): string {
    if ($day->match !== null) {
        $match = [$day->day->iso(), $day->match->title, $day->matchReps, $day->cost('arm')];

        return sprintf('%s  match        “%s”, %d reps, %.0f arm', ...$match);
    }
    $pace = $day->pace;
    $isOwn = fn (BlockPlan $each): bool => $each->asked->judged && $each->reps > 0;
    $own = array_values(array_filter($day->built->blocks ?? [], $isOwn))[0] ?? null;

    return sprintf(
        '%s  %-12s %s%s, %d of %d reps%s%s%s, %.0f arm%s%s', $day->day->iso(), $day->emphasis?->value, $day->begins ? 'NEW ' : '',
        $day->stage === null ? $day->rung?->name : 'stage '.($day->stage + 1), $day->ownReps(), $day->reps(),
        $own === null ? '' : sprintf(' at %.0f %%', 100 * $own->effort), $own?->distanceM === null ? '' : " {$own->distanceM} m",
        $pace === null || $pace->raised === [] ? '' : ', more '.implode($pace->raised), $day->cost('arm'),
        $day->cost('landings') > 0.0 ? sprintf(', %.0f landings', $day->cost('landings')) : '',
        $day->fullest === null ? '' : sprintf(', %.0f %% of %s', 100 * $day->fullest->share(), lcfirst($day->fullest->limit->label)),
    );
};

foreach ($seasons as $title => $season) {
    echo "\n## {$title}\n\n```\n";
    $week = -1;
    foreach ($season->days as $day) {
        if ($day->week !== $week) {
            $week = $day->week;
            $of = array_filter($season->days, fn (SeasonDay $each): bool => $each->week === $week);
            $arm = array_sum(array_map(fn (SeasonDay $each): float => $each->cost('arm'), $of));
            printf("week %d%s: %.0f arm\n", $week + 1, in_array($week, $season->lightWeeks, true) ? ', lighter' : '', $arm);
        }
        echo '  '.$line($day)."\n";
    }
    foreach ($season->expected as $rung) {
        $on = fn (?Day $day): string => $day?->iso() ?? 'later';
        printf("%s: early %s, likely %s, late %s\n", $rung->rung, $on($rung->early), $on($rung->likely), $on($rung->late));
    }
    foreach ($season->problems as $problem) {
        echo trim("{$problem->code} {$problem->day?->iso()} {$problem->fits} of {$problem->of} ".implode(', ', $problem->limits))."\n";
    }
    echo "```\n";
}
