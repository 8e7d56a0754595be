<?php

declare(strict_types=1);

// Several skills of one athlete in one plan, beside every way of sharing the week out: php bench/skills.php [cases] [seed]
// Draws athletes of 9 to 30 with two or three ladders and two to five training days, plans eight weeks, and compares what was chosen with
// the best of all ways, simulated. Every plan is replayed from scratch against the hard limits. Prints what docs/planning.md says.

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
use Augendo\Core\Planning\AllSkills;
use Augendo\Core\Planning\AthleteAhead;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\Rhythm;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\Sharing;
use Augendo\Core\Planning\SkillAsk;
use Augendo\Core\Planning\SkillPlan;
use Augendo\Core\Planning\SkillsPlan;
use Augendo\Core\Planning\Standing;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;

const FROM = '2027-03-15';
const WEEKS = 8;
const RECORD_WEEKS = 6;
const AGES = [9, 11, 13, 15, 17, 22, 30];
const LADDERS = [
    'volleyball-float-serve', 'volleyball-jump-serve', 'handball-standing-throw', 'javelin-throw', 'jump-landing', 'overhand-throw',
];

$library = new Library(dirname(__DIR__).'/library');
$rules = $library->ruleSet('starter')->limits;
$cases = (int) ($argv[1] ?? 60);
mt_srand((int) ($argv[2] ?? 1));
$known = array_values(array_intersect(LADDERS, $library->ladderIds()));
$from = Day::of(FROM);

/** @return array{non-empty-list<SkillAsk>, AthleteAhead} */
$drawn = function () use ($library, $rules, $known, $from): array {
    $age = AGES[mt_rand(0, count(AGES) - 1)];
    $profile = new AthleteProfile($from->plus(-366 * $age));
    $price = new SetCost($profile);
    $ids = $known;
    shuffle($ids);
    $calm = Readiness::on($from, $age, [
        new SorenessReport(Instant::of(FROM.'T08:00:00Z'), Moment::Morning, Site::None, null, Kind::Muscle, 0),
    ], []);
    $days = mt_rand(2, 5);
    $weekdays = [[2, 5], [1, 3, 5], [1, 2, 4, 6], [1, 2, 4, 5, 6]][$days - 2];
    $skills = $sets = [];
    foreach (array_slice($ids, 0, $days > 2 && mt_rand(0, 2) === 0 ? 3 : 2) as $id) {
        $ladder = $library->ladder($id)->forAthlete($profile, $from, $library->doses());
        $at = mt_rand(0, count($ladder->rungs) - 2);
        $goal = $ladder->rungs[min(count($ladder->rungs) - 1, $at + mt_rand(1, 3))];
        $trains = array_values(array_filter($weekdays, fn (): bool => mt_rand(0, 3) > 0));
        $reps = mt_rand(0, 25);
        for ($back = 1; $reps > 0 && $back <= 7 * RECORD_WEEKS; $back++) {
            if (in_array($back % 7, [1, 4], true)) {
                $on = $from->plus(-$back);
                $sets[] = $price->of(new WorkSet($on, "{$id} {$back}", $ladder->skill, $reps, 0.7, $ladder->skill->ordinaryImplement()));
            }
        }
        $skills[] = new SkillAsk(
            ask: new SeasonAsk($from, $from->plus(7 * WEEKS - 1), $trains === [] ? $weekdays : $trains, $goal->id),
            ladder: $ladder,
            standing: new Standing($ladder->rungs[$at]->id, shares: $library->doses()->at($age)),
            first: $calm,
        );
    }

    return [$skills, new AthleteAhead($price, new LoadRecord($sets), new LimitCalendar($rules, $profile), Handedness::Right, $calm)];
};

/** @return int days on which a hard limit is over when all skills are put on one record from scratch */
$over = function (SkillsPlan $plan, AthleteAhead $athlete) use ($from): int {
    $byDay = [];
    foreach ($plan->skills as $skill) {
        foreach ($skill->plan->days as $day) {
            $byDay[$day->day->ordinal] = [...$byDay[$day->day->ordinal] ?? [], ...$day->sets];
        }
    }
    $record = $athlete->record;
    $days = 0;
    for ($day = $from->ordinal; $day < $from->ordinal + 7 * WEEKS; $day++) {
        $sets = $byDay[$day] ?? [];
        $board = $athlete->limits->hardOnly()->board(Day::fromOrdinal($day), $record);
        $days += $sets !== [] && $board->hardTouchedBy($sets)->over($sets) !== [] ? 1 : 0;
        $record = $record->with($sets);
    }

    return $days;
};

/** @return int pairs of heavy days on one part that lie too near each other */
$pairs = function (SkillsPlan $plan, AthleteAhead $athlete) use ($from): int {
    $near = 0;
    foreach ($plan->skills as $a => $one) {
        foreach ($plan->skills as $b => $other) {
            if ($a >= $b || ! $one->skill->sharesAPartWith($other->skill, $athlete->price, $from) || $one->leads === null) {
                continue;
            }
            foreach ($one->plan->days as $day) {
                foreach ($other->plan->days as $each) {
                    $isHeavy = $day->emphasis === Emphasis::Heavy && $each->emphasis === Emphasis::Heavy;
                    $near += $isHeavy && abs($day->day->daysSince($each->day)) < Rhythm::HEAVY_APART_DAYS ? 1 : 0;
                }
            }
        }
    }

    return $near;
};

$sum = array_fill_keys(['cases', 'same', 'over', 'pairs', 'undivided', 'seconds', 'all seconds', 'ways'], 0);
$behind = $later = [];
for ($case = 0; $case < $cases; $case++) {
    [$skills, $athlete] = $drawn();
    $sharing = $case % 2 === 0 ? Sharing::InOrder : Sharing::Evenly;
    $started = hrtime(true);
    $plan = AllSkills::plan($skills, $sharing, $athlete);
    $between = hrtime(true);
    $best = AllSkills::exhaustive($skills, $sharing, $athlete);
    $ended = hrtime(true);
    $sum['seconds'] += ($between - $started) / 1e9;
    $sum['all seconds'] += ($ended - $between) / 1e9;
    $sum['cases']++;
    $sum['ways'] += $plan->ways;
    $sum['undivided'] += $plan->skills[0]->leads === null ? 1 : 0;
    $sum['over'] += $over($plan, $athlete);
    $sum['pairs'] += $pairs($plan, $athlete);
    $worth = fn (SkillsPlan $of): array => SkillsPlan::worth($of->skills, $sharing);
    if ($worth($plan) === $worth($best)) {
        $sum['same']++;

        continue;
    }
    $late = fn (SkillsPlan $of): int => array_sum(array_map(fn (SkillPlan $each): int => $each->daysLate(), $of->skills));
    $shares = fn (SkillsPlan $of): array => array_map(fn (SkillPlan $each): float => $each->share(), $of->skills);
    $share = fn (SkillsPlan $of): float => array_sum($shares($of)) / count($of->skills);
    $later[] = $late($plan) - $late($best);
    $behind[] = $share($best) - $share($plan);
}
sort($later);
sort($behind);
printf(
    "%d athletes, %.1f ways of sharing the days out each; %d with no day of its own for every skill\n",
    $sum['cases'], $sum['ways'] / $sum['cases'], $sum['undivided'],
);
printf(
    "the best of all ways was chosen: %d; else days later in all: %s; share of repetitions behind: %s\n",
    $sum['same'], implode(' ', $later), implode(' ', array_map(fn (float $each): string => sprintf('%.2f', $each), $behind)),
);
printf("days over a hard limit: %d; heavy days of two skills on one part too near: %d\n", $sum['over'], $sum['pairs']);
printf("%.0f ms an athlete, all ways %.0f ms\n", 1000 * $sum['seconds'] / $sum['cases'], 1000 * $sum['all seconds'] / $sum['cases']);
