<?php

declare(strict_types=1);

// What a season of twelve weeks looks like to a coach, for each ladder, from its second rung to its last: php bench/planning.php
// Three ages, three usual weeks (nothing on record, an ordinary one, a large one), two to four sessions a week. Prints the table of
// docs/planning.md: what is planned against what was usual, how often the dose a session is for is there, how weeks are shaped.

require dirname(__DIR__).'/vendor/autoload.php';

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SeasonPlan;
use Augendo\Core\Planning\SeasonPlanner;
use Augendo\Core\Planning\Standing;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;

const FROM = '2027-03-15';
const WEEKS = 12;
const RECORD_WEEKS = 8;
const AGES = [9, 14, 25];
// Units a week, arm or landings: of somebody who trains, and of somebody who trains much.
const USUAL = ['none' => 0, 'ordinary' => 100, 'large' => 300];
const WEEKDAYS = [2 => [2, 5], 3 => [1, 3, 5], 4 => [1, 2, 4, 6]];
const RECORD_EFFORT = 0.7;
const HEAVY_APART = 3;

$library = new Library(dirname(__DIR__).'/library');
$limits = $library->ruleSet('starter')->limits;
$doses = $library->doses();

/** @return list<CostedSet> of three days a week, together the usual week */
$usual = function (Ladder $ladder, SetCost $price, string $measure, int $units): array {
    $sets = [];
    foreach ($units === 0 ? [] : range(1, RECORD_WEEKS) as $week) {
        foreach ([1, 3, 5] as $weekday) {
            $on = Day::of(FROM)->plus(-7 * $week + $weekday - 1);
            $of = fn (int $reps): CostedSet => $price->of(new WorkSet(
                $on, "w{$week}-{$weekday}", $ladder->skill, $reps, RECORD_EFFORT, $ladder->skill->ordinaryImplement(),
            ));
            $sets[] = $of((int) round($units / 3 / $of(100)->cost[$measure] * 100));
        }
    }

    return $sets;
};

$season = function (Ladder $ladder, int $age, string $measure, int $units, int $sessions) use ($limits, $usual, $doses): SeasonPlan {
    $from = Day::of(FROM);
    $profile = new AthleteProfile($from->plus(-366 * $age));
    $price = new SetCost($profile);
    $nothingSore = new SorenessReport(Instant::of(FROM.'T08:00:00Z'), Moment::Morning, Site::None, null, Kind::Muscle, 0);
    $calm = Readiness::on($from, $age, [$nothingSore], []);
    $last = $ladder->rungs[count($ladder->rungs) - 1]->id;

    return SeasonPlanner::plan(
        ask: new SeasonAsk($from, $from->plus(7 * WEEKS - 1), WEEKDAYS[$sessions], $last),
        ladder: $ladder->forAthlete($profile, $from, $doses),
        standing: new Standing($ladder->rungs[1]->id, shares: $doses->at($age)),
        price: $price,
        record: new LoadRecord($usual($ladder, $price, $measure, $units)),
        limits: new LimitCalendar($limits, $profile),
        throwing: Handedness::Right,
        today: $calm,
        calm: $calm,
    );
};

/** @return array<string, float> sums over the sessions of a season */
$seen = function (SeasonPlan $plan, string $measure, float $usualDay): array {
    $costliest = function (Day $on) use ($plan, $measure, $usualDay): float {
        $lately = array_filter($plan->days, fn (SeasonDay $day): bool => $on->isAfter($day->day) && $on->daysSince($day->day) <= 28);

        return max([$usualDay, ...array_map(fn (SeasonDay $day): float => $day->cost($measure), $lately)]);
    };
    $own = fn (SeasonDay $day): int => array_sum(array_map(
        fn (BlockPlan $block): int => $block->asked->judged ? $block->reps : 0, $day->built->blocks ?? [],
    ));
    $byWeek = [];
    foreach ($plan->days as $day) {
        $byWeek[$day->week]['units'] = ($byWeek[$day->week]['units'] ?? 0.0) + $day->cost($measure);
        $byWeek[$day->week]['light'] = $day->emphasis === Emphasis::LightWeek;
    }
    $light = [];
    foreach ($byWeek as $week => $of) {
        $before = $byWeek[$week - 1]['units'] ?? 0.0;
        if ($of['light'] && $before > 0.0) {
            $light[] = $of['units'] / $before;
        }
    }
    $heavy = array_values(array_filter($plan->days, fn (SeasonDay $day): bool => $day->emphasis === Emphasis::Heavy));
    $pairs = 0;
    foreach (array_slice($heavy, 1) as $i => $day) {
        $pairs += $day->day->ordinal - $heavy[$i]->day->ordinal < HEAVY_APART ? 1 : 0;
    }
    // A day that begins a rung has its new thing, its least distance with it: nothing else may be raised over the day before, nor the
    // day cost more than any lately.
    $leastM = fn (SeasonDay $day): float => $day->rung?->ownDose()->distanceMinM ?? $day->rung?->ownDose()->distanceM ?? 0.0;
    $raises = $steps = 0;
    $before = null;
    foreach ($heavy as $day) {
        $pace = $day->pace;
        if ($before?->pace !== null && $pace !== null) {
            $up = [
                $pace->reps > $before->pace->reps && (! $day->begins || $day->cost($measure) > 1.05 * $costliest($day->day)),
                $pace->effort > $before->pace->effort + 1e-9,
                $before->pace->distanceM !== null
                    && $pace->distanceM > max($before->pace->distanceM, $day->begins ? $leastM($day) : 0.0) + 1e-9,
            ];
            $raises += count(array_filter($up)) + ($day->begins ? 1 : 0) > 1 ? 1 : 0;
            $steps += $pace->effort > $before->pace->effort + 0.25 + 1e-9 ? 1 : 0;
        }
        $before = $day;
    }

    return [
        'sessions' => count($plan->days),
        'without' => count(array_filter($plan->days, fn (SeasonDay $day): bool => $own($day) === 0)),
        'own' => array_sum(array_map($own, $plan->days)),
        'units' => array_sum(array_column($byWeek, 'units')),
        'fullest' => max([0.0, ...array_map(fn (SeasonDay $day): float => $day->fullest?->share() ?? 0.0, $plan->days)]),
        'reached' => array_filter($plan->problems, fn ($problem): bool => $problem->code === 'too_near') === [] ? 1 : 0,
        'light_weeks' => count($light),
        'light_fit' => count(array_filter($light, fn (float $share): bool => $share >= 0.6 && $share <= 0.85)),
        'heavy_pairs' => $pairs,
        'two_raises' => $raises,
        'steps' => $steps,
    ];
};

$titles = [
    'age', 'usual week, units', 'sessions a week', 'goal reached', 'own dose, reps a week', 'sessions without it', 'units a week',
    'fullest limit, mean', 'light weeks at 60 to 85 %', 'heavy days too near', 'two raises', 'steps over 25 points',
];
echo '| '.implode(' | ', $titles)." |\n|".str_repeat(' --- |', count($titles))."\n";
foreach (AGES as $age) {
    foreach (USUAL as $name => $units) {
        foreach (array_keys(WEEKDAYS) as $sessions) {
            $rows = [];
            foreach ($library->ladderIds() as $id) {
                $ladder = $library->ladder($id);
                $measure = $ladder->skill->arm > 0.0 ? 'arm' : 'landings';
                $rows[] = $seen($season($ladder, $age, $measure, $units, $sessions), $measure, $units / 3);
            }
            $sum = fn (string $of): float => array_sum(array_column($rows, $of));
            $ladders = count($rows);
            printf(
                "| %d | %s | %d | %d of %d | %.0f | %d of %d | %.0f against %d | %.0f %% | %d of %d | %d | %d | %d |\n",
                $age, $name, $sessions, $sum('reached'), $ladders, $sum('own') / $ladders / WEEKS, $sum('without'), $sum('sessions'),
                $sum('units') / $ladders / WEEKS, $units, 100 * $sum('fullest') / $ladders, $sum('light_fit'), $sum('light_weeks'),
                $sum('heavy_pairs'), $sum('two_raises'), $sum('steps'),
            );
        }
    }
}
