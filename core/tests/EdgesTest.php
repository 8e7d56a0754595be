<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\Watch;
use Augendo\Core\Instant;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryObject;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\LimitBoard;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\RestLimit;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Limits\StepLimit;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\HonestEffort;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Load\YearRound;
use Augendo\Core\Mechanics\Agreement;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\SetLength;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\Equipment;
use Augendo\Core\Planning\Layoff;
use Augendo\Core\Planning\MatchDose;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Planning\Pace;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SeasonPlanner;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Planning\Standing;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Returning\Attempt;
use Augendo\Core\Returning\AttemptReading;
use Augendo\Core\Returning\StageClearance;
use Augendo\Core\Returning\StageWork;
use Augendo\Core\Scoring\Grouping;
use Augendo\Core\Scoring\Score;
use PHPUnit\Framework\TestCase;

/** The edges where a rule turns: each of these was once changed by hand in the code, and no test noticed. */
final class EdgesTest extends TestCase
{
    private const ON = '2027-05-20';

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    public function test_the_distance_floor_counts_when_the_effort_is_unknown_under_the_speed_curve(): void
    {
        $throw = $this->library->skills()['overhand-throw'];
        $price = new SetCost(new AthleteProfile(null, [$throw->id => 50.0], [$throw->id => 30.0]), EffortCurve::Speed);
        $arm = fn (?float $distanceM): float => $price->of(
            new WorkSet($this->on(), 's', $throw, 1, null, Implement::Standard, $distanceM, 15.0),
        )->cost['arm'];
        $this->assertEqualsWithDelta([0.5, 0.9], [$arm(10.0), $arm(45.0)], 1e-9);
    }

    public function test_idle_time_turns_after_seven_fourteen_and_twentyeight_days_and_todays_own_work_ends_none(): void
    {
        $rung = $this->library->ladder('volleyball-float-serve')->rung('line') ?? throw new \LogicException;
        $price = new SetCost(new AthleteProfile($this->on()->plus(-9000)));
        $whole = BlockPlan::asAsked($rung->ownDose());
        foreach (
            [
                7 => [1.0, 0.75, false],
                8 => [0.8, 0.75, false],
                14 => [0.8, 0.75, false],
                15 => [0.6, 0.5, false],
                28 => [0.6, 0.5, false],
                29 => [0.6, 0.5, true],
            ] as $idle => $expected
        ) {
            // Work earlier on the same day is after the gap, and the next session is still the first after it.
            $record = new LoadRecord([$whole->cost($this->on()->plus(-$idle - 1), 'a', $price), $whole->cost($this->on(), 'b', $price)]);
            $layoff = Layoff::of($record, $this->on(), $rung, $price);
            $this->assertSame(
                [$idle, ...$expected],
                [
                    $layoff->idleDays(Side::Dominant),
                    $layoff->share(Side::Dominant),
                    $layoff->effort(Side::Dominant, 0.75),
                    $layoff->beginsAgain(Side::Dominant),
                ],
            );
        }
    }

    public function test_both_ends_of_the_interval_of_honest_effort(): void
    {
        $honest = HonestEffort::of(array_map(fn (int $i): array => [0.5, 0.5 + 0.02 * $i], range(1, 15)));
        $this->assertNotNull($honest);
        $this->assertEqualsWithDelta([0.16, 0.12, 0.20], [$honest->difference, $honest->low, $honest->high], 0.021);
        $this->assertLessThan($honest->difference, $honest->low);
        $this->assertGreaterThan($honest->difference, $honest->high);
    }

    public function test_a_longest_break_of_fifty_days_is_short_of_two_months(): void
    {
        $days = fn (int $off): array => array_fill_keys(
            [
                ...range($this->on()->ordinal - 364, $this->on()->ordinal - 200 - $off),
                ...range($this->on()->ordinal - 199, $this->on()->ordinal),
            ],
            1.0,
        );
        $year = fn (int $off): YearRound => YearRound::of(new DailySeries($days($off), $this->on()->ordinal - 364), $this->on());
        $this->assertSame([50, true], [$year(50)->longestOffDays, $year(50)->isShortOfRest()]);
        $this->assertSame([60, false], [$year(60)->longestOffDays, $year(60)->isShortOfRest()]);
    }

    public function test_a_match_day_without_such_work_owes_no_rest_and_thirty_days_back_is_the_last_that_counts(): void
    {
        $limit = fn (array $matches, array $table = [[30.0, 1]]): RestLimit => new RestLimit(
            new LimitTerms('r', 'Rest', 'test', Severity::Hard, null, new LimitFilter), Measure::HighReps, $table, $matches,
        );
        $over = fn (RestLimit $limit, array $record): bool => LimitBoard::of(
            [$limit],
            new LoadRecord($record),
            $this->on(),
            20,
        )->over([$this->high($this->on(), 1)]) !== [];
        $yesterday = $this->on()->plus(-1);
        $this->assertFalse($over($limit([$yesterday->ordinal]), [$this->high($this->on()->plus(-3), 5)]));
        $this->assertTrue($over($limit([$yesterday->ordinal]), [$this->high($yesterday, 5)]), 'with such work it owes a day more');
        $month = [[30.0, 40]];
        $this->assertTrue($over($limit([], $month), [$this->high($this->on()->plus(-30), 30)]));
        $this->assertFalse($over($limit([], $month), [$this->high($this->on()->plus(-31), 30)]));
    }

    public function test_exactly_fifteen_idle_days_hold_the_step_floor_down(): void
    {
        $step = new StepLimit(
            new LimitTerms('s', 'Step', 'test', Severity::Hard, null, new LimitFilter(sides: [Side::Dominant])), Measure::Arm, 0.15,
            200.0,
        );
        $floor = function (int $idle, int $reps = 10) use ($step): float {
            $limits = (new LimitCalendar([$step], new AthleteProfile($this->on()->plus(-9000))))->on(
                $this->on(),
                new LoadRecord([$this->high($this->on()->plus(-$idle - 1), $reps)]),
            );
            $this->assertInstanceOf(StepLimit::class, $limits[0]);

            return $limits[0]->floor;
        };
        $this->assertSame([200.0, 60.0], [$floor(14), $floor(15)]);
        $this->assertSame(60.0, $floor(2, 1), 'one pass ends no idle time');
    }

    public function test_a_chest_at_eight_refers_every_channel(): void
    {
        $readiness = Readiness::on(
            $this->on(),
            30,
            [new SorenessReport(Instant::of(self::ON.'T08:00:00Z'), Moment::Before, Site::Chest, null, Kind::Muscle, 8)],
            [],
        );
        $this->assertSame(
            ['refer', 'refer', 'refer', 'refer'],
            array_values(array_map(fn (Word $word): string => $word->value, $readiness->channels)),
        );
    }

    public function test_a_joint_at_one_is_not_clean_in_the_strict_school(): void
    {
        $stage = $this->library->programme('serves-effort-first')->stages[2];
        $read = fn (School $school): Attempt => AttemptReading::of(
            $this->on(), 2, $stage, Site::Shoulder,
            [new SorenessReport(Instant::of(self::ON.'T17:00:00Z'), Moment::During, Site::Shoulder, 'right', Kind::Joint, 1)],
            $school, 200, 1.0,
        );
        $clean = function (School $school) use ($read): bool {
            $attempt = $read($school);

            return (new Attempt(
                $attempt->day, $attempt->stage, $attempt->completed, $attempt->during,
                $attempt->eased, 0, $attempt->redFlag, $attempt->jointSore,
            ))->isClean();
        };
        $this->assertSame([true, false], [$clean(School::Graded), $clean(School::Strict)]);
    }

    public function test_after_twentynine_idle_days_a_return_trains_its_first_stage(): void
    {
        $work = fn (int $idle): StageWork => StageWork::on(
            $this->on(), $this->library->programme('serves-effort-first'), 4,
            [new Attempt($this->on()->plus(-$idle), 4, true, 0, false, 0, false)],
            [new StageClearance($this->on()->plus(-60), null)], null, Word::Full,
        );
        $this->assertSame([0, 'restart'], [$work(29)->stage, $work(29)->step->action]);
        $this->assertSame([2, 'step_back'], [$work(28)->stage, $work(28)->step->action]);
    }

    public function test_two_of_four_faults_lead(): void
    {
        $reps = fn (string ...$faults): array => array_map(
            fn (string $fault): JudgedRep => new JudgedRep(Instant::of(self::ON.'T17:00:00Z'), 's', false, false, $fault),
            $faults,
        );
        $this->assertSame(
            ['low', 2, 4],
            [($p = FaultPattern::leading($reps('low', 'late', 'low', 'wide')))?->fault, $p?->times, $p?->faults],
        );
        $this->assertNull(FaultPattern::leading($reps('low', 'late', 'low', 'wide', 'off')), 'two of five do not');
        $this->assertNull(FaultPattern::leading($reps('low', 'low', 'late')), 'three are too few');
        $this->assertSame(
            'late',
            FaultPattern::leading($reps('late', 'low', 'low', 'late'))?->fault,
            'of two that lead, the one that came first',
        );
    }

    /**
     * Margins 8:2 and 5:5, ten pairs: κ = (0.7 − 0.5) / 0.5 = 0.4; its standard error by J. L. Fleiss, J. Cohen and B.
     * S. Everitt, Psychological Bulletin 72 (1969), 323–327.
     */
    public function test_agreement_where_the_margins_differ(): void
    {
        $agreement = Agreement::of([
            ...array_fill(0, 5, ['good', 'good']),
            ...array_fill(0, 3, ['good', 'not_good']),
            ...array_fill(0, 2, ['not_good', 'not_good']),
        ]);
        $this->assertEqualsWithDelta(0.4, $agreement->kappa, 1e-12);
        [$p, $k] = [[[0.5, 0.3], [0.0, 0.2]], 0.4];
        [$row, $column, $pe] = [[0.8, 0.2], [0.5, 0.5], 0.5];
        $a = $p[0][0] * (1 - ($row[0] + $column[0]) * (1 - $k)) ** 2 + $p[1][1] * (1 - ($row[1] + $column[1]) * (1 - $k)) ** 2;
        $b = (1 - $k) ** 2 * ($p[0][1] * ($column[0] + $row[1]) ** 2 + $p[1][0] * ($column[1] + $row[0]) ** 2);
        $error = sqrt(($a + $b - ($k - $pe * (1 - $k)) ** 2) / (10 * (1 - $pe) ** 2));
        [$low, $high] = $agreement->interval ?? [0.0, 0.0];
        $this->assertEqualsWithDelta(
            [max(-1.0, 0.4 - 1.959963984540054 * $error), min(1.0, 0.4 + 1.959963984540054 * $error)],
            [$low, $high],
            1e-9,
        );
    }

    public function test_a_squad_of_thousands_does_not_drown_one_athlete(): void
    {
        $session = fn (int $after): array => array_map(
            fn (int $i): JudgedRep => new JudgedRep(Instant::of(self::ON.'T17:00:00Z'), 's', $i < $after, false),
            range(0, 19),
        );
        $own = array_fill(0, 8, $session(8));
        $squad = array_fill(0, 400, $session(14));
        $this->assertSame(8, SetLength::of($own, $squad)?->after, 'the squad counts as forty repetitions, however many it has');
    }

    public function test_a_rate_at_the_bound_steps_nobody_back(): void
    {
        $gate = new Gate(minReps: 20, stepBackRate: 0.35);
        $this->assertSame(0.0, Watch::of($gate, 20, 7, 0)->stepsBack, 'seven of twenty is 0.35');
        $this->assertSame(1.0, Watch::of($gate, 20, 6, 0)->stepsBack);
    }

    public function test_no_step_from_one_heavy_day_to_the_next_is_above_a_quarter(): void
    {
        foreach ($this->library->ladderIds() as $id) {
            foreach ($this->library->ladder($id)->rungs as $rung) {
                $own = $rung->ownDose();
                $pace = Pace::next(null, $own, Emphasis::Heavy);
                for ($day = 0; $day < 12; $day++) {
                    $next = Pace::next($pace, $own, Emphasis::Heavy, begins: false);
                    $this->assertLessThanOrEqual($pace->effort + 0.25 + 1e-9, $next->effort, "{$id} {$rung->id}");
                    $this->assertLessThanOrEqual(
                        $pace->reps + (int) ceil(0.25 * $own->sets * $own->reps),
                        $next->reps,
                        "{$id} {$rung->id}",
                    );
                    $this->assertLessThanOrEqual(
                        ($pace->distanceM ?? 0.0) + max(1.0, 0.25 * (float) $own->distanceM) + 1e-9,
                        $next->distanceM ?? 0.0,
                        "{$id} {$rung->id}",
                    );
                    $pace = $next;
                }
            }
        }
    }

    public function test_a_match_exactly_six_days_later_fills_the_week_and_one_seven_days_later_does_not(): void
    {
        $serve = $this->library->skills()['float-serve'];
        $price = new SetCost(new AthleteProfile($this->on()->plus(-9000)));
        $week = new CapLimit(new LimitTerms('week', 'Week', 'test', Severity::Hard, null, new LimitFilter), Measure::Reps, 7, 50.0);
        $room = function (int $daysAhead) use ($serve, $price, $week): ?int {
            $match = new MatchEvent('m', $this->on()->plus($daysAhead), 'Match', [new MatchDose($serve, 40, 0.5)]);
            $frame = new SessionFrame(
                $this->on(), 's', $price, Readiness::on($this->on(), 30, [], []), new LoadRecord([]),
                new LimitCalendar([$week], new AthleteProfile($this->on()->plus(-9000))), $match->sets($price),
                Layoff::days(0), Handedness::Right,
            );

            return $frame->roomBeforeLater($price->of(new WorkSet($this->on(), 's', $serve, 1, 0.5, Implement::Standard, null)))->reps;
        };
        $this->assertSame([10, 50], [$room(6), $room(7)]);
    }

    public function test_the_other_sides_dose_of_a_match_is_the_other_sides(): void
    {
        $sets = (new MatchEvent(
            'm',
            $this->on(),
            'Match',
            [
                new MatchDose($this->library->skills()['pass'], 30, 0.5, Side::Other),
                new MatchDose($this->library->skills()['pass'], 20, 0.5),
            ],
        ))->sets(
            new SetCost(new AthleteProfile(null)),
        );
        $this->assertSame(
            [[Side::Other, 30.0], [Side::Dominant, 20.0]],
            array_map(fn (CostedSet $set): array => [$set->side, $set->cost['reps']], $sets),
        );
    }

    public function test_a_hard_ball_never_stands_in_for_a_soft_one(): void
    {
        $ball = fn (string $id, float $kg, bool $hard): LibraryObject => new LibraryObject($id, $id, Implement::Standard, $kg, $kg, $hard);
        $rung = $this->rungWith($ball('soft', 0.15, false));
        [$kept, $swaps] = Equipment::fit($rung, ['hard' => $ball('hard', 0.145, true)]);
        $this->assertSame([], $kept->blocks);
        $this->assertNull($swaps[0][1]);
        [$kept] = Equipment::fit($rung, ['hard' => $ball('hard', 0.145, true), 'other' => $ball('other', 0.14, false)]);
        $this->assertSame('other', $kept->blocks[0]->object->id);
    }

    public function test_a_season_that_begins_after_twentynine_idle_days_begins_one_rung_lower(): void
    {
        $ladder = $this->library->ladder('volleyball-float-serve');
        $price = new SetCost(new AthleteProfile($this->on()->plus(-7000)));
        $calm = Readiness::on(
            $this->on(),
            19,
            [new SorenessReport(Instant::of(self::ON.'T08:00:00Z'), Moment::Morning, Site::None, null, Kind::Muscle, 0)],
            [],
        );
        $first = function (int $idle) use ($ladder, $price, $calm): ?string {
            $done = BlockPlan::asAsked($ladder->rungs[4]->ownDose())->cost($this->on()->plus(-$idle - 1), 's', $price);
            $plan = SeasonPlanner::plan(
                new SeasonAsk($this->on(), $this->on()->plus(30), [1, 2, 3, 4, 5, 6, 7], null, []), $ladder,
                new Standing($ladder->rungs[4]->id), $price, new LoadRecord([$done]),
                new LimitCalendar($this->library->ruleSet('starter')->limits, new AthleteProfile($this->on()->plus(-7000))),
                Handedness::Right, $calm, $calm,
            );
            $sessions = array_values(array_filter($plan->days, fn (SeasonDay $day): bool => $day->rung !== null));

            return $sessions[0]->rung?->id;
        };
        $this->assertSame([$ladder->rungs[4]->id, $ladder->rungs[3]->id], [$first(28), $first(29)]);
    }

    /** Nine idle days in the middle of a season: the day after them is lower, and nothing on it is raised. */
    public function test_after_idle_days_a_season_first_takes_its_share_off(): void
    {
        $ladder = $this->library->ladder('javelin-throw');
        $price = new SetCost(new AthleteProfile($this->on()->plus(-7000), ['javelin' => 60.0]));
        $calm = Readiness::on(
            $this->on(),
            19,
            [new SorenessReport(Instant::of(self::ON.'T08:00:00Z'), Moment::Morning, Site::None, null, Kind::Muscle, 0)],
            [],
        );
        $own = $ladder->rungs[2]->ownDose();
        $reached = Pace::at($own->sets * $own->reps, $own->effort, 12.0);
        $done = new BlockPlan($own, $own->sets, $own->sets * $own->reps, $own->effort, 12.0);
        $plan = SeasonPlanner::plan(
            new SeasonAsk($this->on(), $this->on()->plus(20), [1, 2, 3, 4, 5, 6, 7], null, []), $ladder,
            new Standing($ladder->rungs[2]->id, 1, $reached), $price,
            new LoadRecord([$done->cost($this->on()->plus(-10), 's', $price)]),
            new LimitCalendar($this->library->ruleSet('starter')->limits, new AthleteProfile($this->on()->plus(-7000))),
            Handedness::Right, $calm, $calm,
        );
        $first = $plan->days[0];
        $this->assertSame([], $first->pace?->raised);
        $this->assertEqualsWithDelta(12.0, $first->pace?->distanceM, 1e-9);
        $judged = array_values(array_filter($first->built->blocks ?? [], fn (BlockPlan $block): bool => $block->asked->judged))[0];
        $this->assertLessThanOrEqual(0.8 * $done->reps, $judged->reps);
    }

    public function test_a_second_serve_after_a_first_one_in_is_no_double_fault(): void
    {
        $this->assertStringContainsString('0 double faults', Score::serveGame([[true, false], [true, null], [false, true]])->detail);
        $this->assertStringContainsString('1 double fault', Score::serveGame([[false, false], [true, false]])->detail);
    }

    public function test_the_interval_of_a_share_in_a_zone(): void
    {
        $points = [...array_fill(0, 8, [0.0, 0.0]), ...array_fill(0, 2, [5.0, 5.0])];
        [$inside, $share, $low, $high] = Grouping::within($points, 1.0, 1.0);
        // Wilson, 8 of 10, 80 %: z = 1.2815515655446004.
        $z = 1.2815515655446004;
        $middle = (0.8 + $z ** 2 / 20) / (1 + $z ** 2 / 10);
        $half = $z * sqrt(0.8 * 0.2 / 10 + $z ** 2 / 400) / (1 + $z ** 2 / 10);
        $this->assertSame([8, 0.8], [$inside, $share]);
        $this->assertEqualsWithDelta([$middle - $half, $middle + $half], [$low, $high], 1e-9);
    }

    /** Days that differ only by how a float is rounded are the same: no monotony of 10¹⁵. */
    public function test_monotony_is_none_when_the_days_are_equal_to_a_billionth(): void
    {
        $monotony = function (float $off): ?float {
            $days = array_fill_keys(range($this->on()->ordinal - 6, $this->on()->ordinal), 50.0);
            $days[$this->on()->ordinal] += $off;

            return \Augendo\Core\Load\LoadStatistics::of(new DailySeries($days, $this->on()->ordinal - 6), $this->on()->ordinal)->monotony;
        };
        $this->assertNull($monotony(0.0));
        $this->assertNull($monotony(1e-9));
        $this->assertGreaterThan(100.0, $monotony(0.01));
    }

    private function on(): Day
    {
        return Day::of(self::ON);
    }

    private function high(Day $day, int $reps): CostedSet
    {
        $family = $this->library->skills()['float-serve']->family;

        return new CostedSet($day->ordinal, "s{$day->ordinal}", 'float-serve', $family, Side::Dominant, Implement::Standard, [
            ...array_fill_keys(Measure::ofSets(), 0.0), 'reps' => (float) $reps, 'high_reps' => (float) $reps,
            Channel::Arm->value => 0.7 * $reps,
        ], 1.0, null);
    }

    private function rungWith(LibraryObject $object): Rung
    {
        $dose = new BlockDose(
            BlockKind::Whole, 'Throw', '', $this->library->skills()['overhand-throw'], $object, Side::Dominant, null, 2,
            8, 8, 0.6, 0.5, 10.0, 8.0, 60, null, 2, null, true,
        );

        return new Rung('r', 'Rung', '', false, [], [], new Gate, [$dose]);
    }
}
