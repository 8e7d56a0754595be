<?php

declare(strict_types=1);

// The core's arithmetic alone, without framework or HTTP: php bench/load.php
//  1. three years of one athlete through every limit of the starter set on every day;
//  2. cost against work, as the slope on log axes;
//  3. the daily series and its 7- and 28-day windows beside one SQL window query over the same sets.

require dirname(__DIR__).'/vendor/autoload.php';

use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\LimitBoard;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Surface;
use Augendo\Core\Load\WorkSet;

const ROUNDS = 5;

$library = new Library(dirname(__DIR__).'/library');
$limits = $library->ruleSet('starter')->limits;
$skills = array_map(fn (string $id) => $library->skills()[$id], ['javelin', 'float-serve', 'jump', 'spike']);
$today = Day::of('2027-06-01');
$price = new SetCost(new AthleteProfile($today->plus(-365 * 17), ['javelin' => 45.0]));

/** @return list<WorkSet> */
$history = function (int $sets, int $days) use ($skills, $today): array {
    return array_map(fn (int $i): WorkSet => new WorkSet(
        $today->plus(-intdiv($i * $days, $sets)), 's'.intdiv($i, 5), $skills[$i % 4], 4 + $i % 6,
        [0.4, 0.6, 0.75, 0.9, null][$i % 5], Implement::Standard, $i % 4 === 0 ? 10.0 + $i % 30 : null,
        surface: Surface::Sprung,
    ), range(0, $sets - 1));
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
/** Prices a history and reads every limit on every day of it. */
$season = function (int $sets, int $days) use ($history, $price, $limits, $today): callable {
    $worked = $history($sets, $days);

    return function () use ($worked, $price, $limits, $today, $days): void {
        $record = new LoadRecord(array_map($price->of(...), $worked));
        for ($back = $days - 1; $back >= 0; $back--) {
            LimitBoard::of($limits, $record, $today->plus(-$back), 17)->states([]);
        }
    };
};

$three = $seconds($season(5000, 1095));
printf("Three years, 5,000 sets, every limit on each of 1,095 days: %.2f s, %.2f ms a day\n\n", $three, 1000 * $three / 1095);

echo "Cost against work (sets and days grow together):\n";
$points = [];
foreach ([625 => 137, 1250 => 274, 2500 => 548, 5000 => 1095, 10000 => 2190] as $sets => $days) {
    $points[] = [log($sets), log($taken = $seconds($season($sets, $days)))];
    printf("  %6d sets %8.1f ms\n", $sets, 1000 * $taken);
}
$meanX = array_sum(array_column($points, 0)) / count($points);
$meanY = array_sum(array_column($points, 1)) / count($points);
$slope = array_sum(
    array_map(fn (array $p): float => ($p[0] - $meanX) * ($p[1] - $meanY), $points),
) / array_sum(array_map(fn (array $p): float => ($p[0] - $meanX) ** 2, $points));
printf("  slope on log axes %.2f\n\n", $slope);

$costed = array_map($price->of(...), $history(5000, 1095));
$pdo = new PDO('sqlite::memory:', options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
$pdo->exec('create table sets (day integer, arm real)');
$pdo->beginTransaction();
$insert = $pdo->prepare('insert into sets values (?, ?)');
foreach ($costed as $set) {
    $insert->execute([$set->day, $set->cost['arm']]);
}
$pdo->commit();
$pdo->exec('create index by_day on sets (day)');
[$first, $last] = [$today->ordinal - 1094, $today->ordinal];
$sql = fn (): array => $pdo->query("with recursive days(day) as (select {$first} union all select day + 1 from days where day < {$last}),
    daily as (select days.day, coalesce(sum(arm), 0) as arm from days left join sets on sets.day = days.day group by days.day)
    select day, arm, sum(arm) over (order by day rows between 6 preceding and current row) as week,
        sum(arm) over (order by day rows between 27 preceding and current row) as month from daily")->fetchAll(PDO::FETCH_NUM);
$core = function () use ($costed, $first, $last): array {
    $series = (new LoadRecord($costed))->wholeSeries(Measure::Arm);
    $rows = [];
    foreach (windows($series, $first, $last) as $day => [$week, $month]) {
        $rows[] = [$day, $series->on($day), $week, $month];
    }

    return $rows;
};
/** @return iterable<int, array{float, float}> sums of the last 7 and 28 days, as the limits read them */
function windows(DailySeries $series, int $first, int $last): iterable
{
    for ($day = $first; $day <= $last; $day++) {
        yield $day => [$series->sum($day - 6, $day), $series->sum($day - 27, $day)];
    }
}
$a = $sql();
$b = $core();
foreach ($a as $i => $row) {
    abs($row[2] - $b[$i][2]) < 1e-6 && abs($row[3] - $b[$i][3]) < 1e-6 || throw new RuntimeException("Day {$row[0]} differs.");
}
[$bySql, $byCore] = [$seconds($sql), $seconds($core)];
printf(
    "Daily series with 7- and 28-day windows, 5,000 sets: one SQL window query %.1f ms, core %.1f ms, ratio %.2f\n",
    1000 * $bySql,
    1000 * $byCore,
    $byCore / $bySql,
);
