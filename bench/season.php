<?php

declare(strict_types=1);

// Whole seasons in the core, without framework or HTTP: php bench/season.php
//  1. a season of twelve weeks for a squad of 30, each with 70 days of record and three matches ahead, beside reading
// every limit on each of its days;
//  2. cost against the number of athletes, and against the number of weeks, as slopes on log axes.

require dirname(__DIR__).'/vendor/autoload.php';

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\MatchDose;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonPlan;
use Augendo\Core\Planning\SeasonPlanner;
use Augendo\Core\Planning\Standing;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;

const ROUNDS = 3;

$library = new Library(dirname(__DIR__).'/library');
$limits = $library->ruleSet('starter')->limits;
$from = Day::of('2027-03-15');
$ladder = $library->ladder('volleyball-float-serve');
$serve = $library->skills()['float-serve'];
$calm = Readiness::on(
    $from,
    14,
    [new SorenessReport(Instant::of("{$from->iso()}T08:00:00Z"), Moment::Morning, Site::None, null, Kind::Muscle, 0)],
    [],
);

$season = function (int $athletes, int $weeks) use ($limits, $from, $ladder, $serve, $calm): array {
    $plans = [];
    for ($i = 0; $i < $athletes; $i++) {
        $profile = new AthleteProfile($from->plus(-365 * (10 + $i % 9)));
        $price = new SetCost($profile);
        $sets = [];
        foreach (range(1, 70, 2) as $back) {
            $sets[] = $price->of(new WorkSet($from->plus(-$back), "r{$back}", $serve, 30 + $i % 10, 0.7, $serve->ordinaryImplement()));
        }
        $matches = array_map(
            fn (int $week): MatchEvent => new MatchEvent(
                "m{$week}",
                $from->plus(7 * $week + 5),
                'Match',
                [new MatchDose($serve, 45, 0.95)],
            ),
            range(3, max(7, $weeks), 4),
        );
        $ask = new SeasonAsk($from, $from->plus(7 * $weeks - 1), [1, 2, 4, 6], $ladder->rungs[6]->id, $matches);
        $plans[] = [
            SeasonPlanner::plan(
                $ask,
                $ladder,
                new Standing($ladder->rungs[$i % 4 + 1]->id),
                $price,
                new LoadRecord($sets),
                new LimitCalendar($limits, $profile, array_map(fn (MatchEvent $match): int => $match->day->ordinal, $matches)),
                Handedness::Right,
                $calm,
                $calm,
            ),
            $sets,
            $profile,
        ];
    }

    return $plans;
};
/**
 * @param  list<array{SeasonPlan, list<\Augendo\Core\Load\CostedSet>, AthleteProfile}>  $plans the same days, only read through every limit
 */
$read = function (array $plans) use ($limits): int {
    $states = 0;
    foreach ($plans as [$plan, $sets, $profile]) {
        $record = new LoadRecord($sets);
        $calendar = new LimitCalendar($limits, $profile);
        foreach ($plan->days as $day) {
            $states += count($calendar->board($day->day, $record)->states($day->sets));
            $record = $record->with($day->sets);
        }
    }

    return $states;
};
$seconds = function (callable $piece): float {
    $times = [];
    for ($round = -1; $round < ROUNDS; $round++) {
        $started = hrtime(true);
        $piece();
        $round < 0 || $times[] = (hrtime(true) - $started) / 1e9;
    }
    sort($times);

    return $times[intdiv(count($times), 2)];
};
$slope = function (array $points): float {
    $meanX = array_sum(array_column($points, 0)) / count($points);
    $meanY = array_sum(array_column($points, 1)) / count($points);

    return array_sum(
        array_map(fn (array $p): float => ($p[0] - $meanX) * ($p[1] - $meanY), $points),
    ) / array_sum(array_map(fn (array $p): float => ($p[0] - $meanX) ** 2, $points));
};

$plans = $season(30, 12);
$sessions = array_sum(array_map(fn (array $each): int => count($each[0]->days), $plans));
[$planned, $readOnly] = [$seconds(fn () => $season(30, 12)), $seconds(fn () => $read($plans))];
printf(
    "Twelve weeks for a squad of 30: %d days planned in %.2f s, %.1f ms a day; every limit only read on the same days %.2f s, ratio %.1f\n",
    $sessions, $planned, 1000 * $planned / $sessions, $readOnly, $planned / $readOnly,
);
foreach (['athletes' => [[5, 12], [10, 12], [20, 12], [40, 12]], 'weeks' => [[10, 6], [10, 12], [10, 24], [10, 48]]] as $what => $sizes) {
    $points = [];
    foreach ($sizes as [$athletes, $weeks]) {
        $points[] = [log($what === 'athletes' ? $athletes : $weeks), log($seconds(fn () => $season($athletes, $weeks)))];
    }
    printf("Cost against %s, slope on log axes %.2f\n", $what, $slope($points));
}
