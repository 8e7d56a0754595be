<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\WorkSet;
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
use PHPUnit\Framework\TestCase;

/** Random histories, rule sets, matches and goals. AUGENDO_SEASONS sets how many; a commit runs a part of what was run by hand. */
final class SeasonPropertyTest extends TestCase
{
    private const SEASONS = 120;

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    /** The season is replayed day by day on a record built from scratch: nothing the planner kept is trusted. */
    public function test_no_day_of_a_season_breaks_a_hard_limit_and_one_more_often_would(): void
    {
        $bound = $sessions = $tight = 0;
        for ($seed = 1; $seed <= (int) (getenv('AUGENDO_SEASONS') ?: self::SEASONS); $seed++) {
            [$plan, $record, $limits, $price, $others] = $this->season($seed);
            $done = $record;
            $byDay = [];
            foreach ($plan->days as $day) {
                $byDay[$day->day->ordinal] = $day;
            }
            for ($ordinal = $plan->ask->from->ordinal; $ordinal <= $plan->ask->goalDay->ordinal; $ordinal++) {
                $on = Day::fromOrdinal($ordinal);
                $beside = array_values(array_filter($others, fn (CostedSet $set): bool => $set->day === $ordinal));
                $day = $byDay[$ordinal] ?? null;
                $sets = $day->sets ?? [];
                $board = $limits->board($on, new LoadRecord($done));
                $over = $board->hardTouchedBy($sets)->over([...$beside, ...$sets]);
                $this->assertSame(
                    [],
                    array_map(fn ($state): string => "{$state->limit->id} {$state->projected}/{$state->max}", $over),
                    "seed {$seed}, {$on->iso()}",
                );
                $sessions += $day?->built === null ? 0 : 1;
                // Where a limit trimmed the whole, one repetition more breaks it, today or on a later day that is kept free for a match.
                foreach ($day->built->trims ?? [] as $trim) {
                    if ($trim->cause === 'limit' && $trim->what === 'reps') {
                        $bound++;
                        $tight += $trim->limits === [] ? 0 : 1;
                    }
                }
                $done = [...$done, ...$beside, ...$sets];
            }
        }
        $this->assertGreaterThan(500, $sessions);
        $this->assertGreaterThan(50, $bound, 'limits bind often enough for the test to mean something');
        $this->assertSame($bound, $tight, 'every repetition a limit took names a limit that one more would break');
    }

    public function test_headroom_is_the_last_that_fits_on_any_day_of_a_season(): void
    {
        $checked = 0;
        for ($seed = 1; $seed <= 25; $seed++) {
            [$plan, $record, $limits, $price, $others] = $this->season($seed);
            $done = $record;
            foreach ($plan->days as $day) {
                $sameDay = array_values(array_filter($others, fn (CostedSet $set): bool => $set->day === $day->day->ordinal));
                $one = $price->of(new WorkSet($day->day, 'x', $this->library->skills()['float-serve'], 1, 0.8, Implement::Standard));
                $board = $limits->board($day->day, new LoadRecord($done));
                $left = $board->headroom($one, [...$sameDay, ...$day->sets]);
                $over = fn (int $reps): array => $board->hardTouchedBy([$one])->over([...$sameDay, ...$day->sets, $one->times($reps)]);
                if ($left->reps !== null) {
                    $checked++;
                    $this->assertTrue($left->reps === 0 || $over($left->reps) === [], "seed {$seed}");
                    $this->assertNotSame([], $over($left->reps + 1), "seed {$seed}");
                }
                $done = [...$done, ...$sameDay, ...$day->sets];
            }
        }
        $this->assertGreaterThan(200, $checked);
    }

    /** Between two heavy days of one rung at most one of repetitions, effort and distance is raised. */
    public function test_one_thing_is_raised_at_a_time(): void
    {
        $raises = 0;
        for ($seed = 1; $seed <= 60; $seed++) {
            $before = null;
            foreach ($this->season($seed)[0]->days as $day) {
                if ($day->rung === null || $day->stage !== null) {
                    continue;
                }
                if ($before?->rung?->id === $day->rung->id) {
                    $this->assertLessThanOrEqual(1, count($day->pace->raised ?? []), "seed {$seed}, {$day->day->iso()}");
                    $raises += count($day->pace->raised ?? []);
                }
                $before = $day;
            }
        }
        $this->assertGreaterThan(20, $raises);
    }

    /**
     * @return array{SeasonPlan, list<CostedSet>, LimitCalendar, SetCost, list<CostedSet>} plan, record before it,
     *         limits, price, plans beside it
     */
    private function season(int $seed): array
    {
        mt_srand($seed);
        $from = Day::of('2027-03-15')->plus(mt_rand(0, 6));
        $age = mt_rand(7, 30);
        $profile = new AthleteProfile(
            mt_rand(0, 9) === 0 ? null : $from->plus(-365 * $age - mt_rand(0, 364)),
            ['javelin' => (float) mt_rand(15, 60)],
        );
        $price = new SetCost($profile);
        $skills = array_values(array_intersect_key($this->library->skills(), array_flip(['float-serve', 'javelin', 'jump', 'spike'])));
        $set = fn (Day $day, string $id): CostedSet => $price->of(new WorkSet(
            $day, $id, $skill = $skills[mt_rand(0, 3)], mt_rand(5, 30),
            mt_rand(0, 5) === 0 ? null : mt_rand(3, 10) / 10, $skill->ordinaryImplement(),
            side: mt_rand(0, 8) === 0 ? Side::Other : Side::Dominant,
        ));
        $record = $others = [];
        $density = mt_rand(2, 6);
        for ($back = mt_rand(0, 60); $back >= 1; $back--) {
            if (mt_rand(0, $density) === 0) {
                $record[] = $set($from->plus(-$back), "r{$back}");
            }
        }
        for ($ahead = 0; $ahead < 40; $ahead++) {
            if (mt_rand(0, 9) === 0) {
                $others[] = $set($from->plus($ahead), "o{$ahead}");
            }
        }
        $matches = [];
        for ($i = mt_rand(0, 4); $i > 0; $i--) {
            $matches[] = new MatchEvent(
                "m{$i}",
                $from->plus(mt_rand(1, 50)),
                'Match',
                [new MatchDose($skills[mt_rand(0, 3)], mt_rand(10, 90), mt_rand(0, 2) === 0 ? null : 0.9)],
            );
        }
        $ladders = $this->library->ladderIds();
        $ladder = $this->library->ladder($ladders[mt_rand(0, count($ladders) - 1)]);
        $at = mt_rand(0, count($ladder->rungs) - 1);
        $weekdays = array_values(array_unique([mt_rand(1, 7), mt_rand(1, 7), mt_rand(1, 7), mt_rand(1, 7)]));
        $ask = new SeasonAsk(
            $from, $from->plus(mt_rand(10, 60)), $weekdays, $ladder->rungs[mt_rand($at, count($ladder->rungs) - 1)]->id,
            $matches, minutes: mt_rand(0, 3) === 0 ? mt_rand(5, 60) : null,
        );
        $limits = $this->limits();
        $return = null;
        if ($ladder->id !== 'block-jump-landing' && mt_rand(0, 3) === 0) {
            $return = new SeasonReturn(
                $this->library->programme($ladder->id === 'javelin-throw' ? 'throws-effort-first' : 'serves-effort-first'),
                0, [], [], null, Side::Dominant, $this->library->objects()['nothing'], 200.0,
            );
        }
        $calendar = new LimitCalendar(
            $limits,
            $profile,
            array_map(fn (MatchEvent $match): int => $match->day->ordinal, $matches),
            mt_rand(0, 5) === 0,
            $return !== null,
        );
        $word = fn (int $score): Readiness => Readiness::on(
            $from,
            $age,
            [
                new SorenessReport(
                    Instant::of($from->iso().'T08:00:00Z'), Moment::Morning, $score === 0 ? Site::None : Site::Shoulder,
                    null, Kind::Muscle, $score,
                ),
            ],
            [],
        );
        $plan = SeasonPlanner::plan(
            $ask, $ladder, new Standing($ladder->rungs[$at]->id), $price, new LoadRecord($record), $calendar,
            Handedness::Right, $word(mt_rand(0, 4)), $word(0), $return, $others,
        );
        if ($plan->returnDone !== null) {
            // The replay needs the limits of before and after the return; those of the return are the tighter, so only
            // what lies in it is replayed.
            $plan = new SeasonPlan(
                ask: $plan->ask->until($plan->returnDone),
                days: array_values(array_filter($plan->days, fn (SeasonDay $day): bool => ! $day->day->isAfter($plan->returnDone))),
                rungAtGoal: $plan->rungAtGoal,
                returnDone: $plan->returnDone,
                problems: $plan->problems,
                expected: $plan->expected,
                lightWeeks: $plan->lightWeeks,
                taperFrom: $plan->taperFrom,
                carried: $plan->carried,
                growsTo: $plan->growsTo,
                rate: $plan->rate,
            );
        }

        return [$plan, $record, $calendar, $price, $others];
    }

    /** @return list<Limit> the starter set, at random made tighter or looser, a limit left out now and then */
    private function limits(): array
    {
        $limits = [];
        $share = mt_rand(5, 14) / 10;
        foreach ($this->library->ruleSet('starter')->limits as $limit) {
            if (mt_rand(0, 12) !== 0) {
                $limits[] = $limit->scaled($share);
            }
        }

        return $limits;
    }
}
