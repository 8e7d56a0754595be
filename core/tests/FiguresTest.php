<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Headroom;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\RatioLimit;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Limits\Status;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\RatioMethod;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\DoseChoice;
use Augendo\Core\Planning\ExpectedMatch;
use Augendo\Core\Planning\MatchDose;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Planning\ServeTarget;
use Augendo\Core\Planning\SessionClock;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\KnownCondition;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Scoring\Grouping;
use Augendo\Core\Scoring\Score;
use Augendo\Core\Scoring\ScoreKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Values that are refused at their edge, and small sums worked out by hand. */
final class FiguresTest extends TestCase
{
    private const ON = '2027-05-20';

    private BlockDose $dose;

    protected function setUp(): void
    {
        $ladder = (new Library(dirname(__DIR__, 2).'/library'))->ladder('overhand-throw');
        $this->dose = $ladder->rungs[2]->ownDose()->with(['sets' => 3, 'reps' => 8]);
    }

    /** @return iterable<string, array{int, int, float, float|null, string|null}> sets, repetitions, effort, metres, what is said */
    public static function plans(): iterable
    {
        yield 'nothing' => [1, 0, 0.0, null, null];
        yield 'everything' => [9, 500, 1.0, 0.1, null];
        yield 'fewer than none' => [1, -1, 0.5, null, '-1 repetitions cannot be planned; 0 is the least.'];
        yield 'no set' => [0, 5, 0.5, null, '0 sets cannot be planned; 1 is the least.'];
        yield 'less than no effort' => [1, 5, -0.01, null, 'An effort lies between 0 and 100 %.'];
        yield 'more than all' => [1, 5, 1.01, null, 'An effort lies between 0 and 100 %.'];
        yield 'no distance' => [1, 5, 0.5, 0.0, 'A distance is more than 0 m.'];
    }

    #[DataProvider('plans')]
    public function test_a_plan_that_cannot_be_is_refused(int $sets, int $reps, float $effort, ?float $distanceM, ?string $said): void
    {
        if ($said !== null) {
            $this->expectExceptionObject(new InvalidValue($said));
        }
        $this->assertSame($reps, (new BlockPlan($this->dose, $sets, $reps, $effort, $distanceM))->reps);
    }

    /** @param  list<int>  $bySet */
    #[TestWith([24, 3, [8, 8, 8]])]
    #[TestWith([23, 3, [8, 8, 7]])]
    #[TestWith([17, 3, [6, 6, 5]])]
    #[TestWith([16, 2, [8, 8]])]
    #[TestWith([9, 2, [5, 4]])]
    #[TestWith([8, 1, [8]])]
    #[TestWith([1, 1, [1]])]
    #[TestWith([0, 3, []])]
    public function test_fewer_repetitions_are_fewer_sets_of_about_the_asked_length(int $reps, int $sets, array $bySet): void
    {
        $plan = BlockPlan::asAsked($this->dose)->withReps($reps);
        $this->assertSame([$sets, $bySet, $reps === 0], [$plan->sets, $plan->repsBySet(), $plan->isDropped()]);
        $this->assertFalse(BlockPlan::asAsked($this->dose->with(['reps' => 0]))->isDropped(), 'nothing was asked');
    }

    public function test_what_a_match_is_expected_to_take_comes_from_the_last_three(): void
    {
        $declared = ['float-serve' => 35, 'spike' => 20];
        $this->assertSame($declared, ExpectedMatch::of([], $declared));
        $this->assertSame(['float-serve' => 42, 'spike' => 20], ExpectedMatch::of([['float-serve' => 42]], $declared));
        $last = [['float-serve' => 10, 'jump' => 4], ['float-serve' => 11], ['float-serve' => 12], ['float-serve' => 900]];
        $this->assertSame(['float-serve' => 11, 'spike' => 20, 'jump' => 2], ExpectedMatch::of($last, $declared), 'rounded up');
    }

    public function test_a_match_costs_a_share_of_what_it_is_expected_to_and_concerns_whom_it_names(): void
    {
        $match = new MatchEvent('m', Day::of(self::ON), 'Home match', [
            new MatchDose($this->dose->skill, 35, 0.95), new MatchDose($this->dose->skill, 1, null, Side::Other),
        ]);
        $price = new SetCost(new AthleteProfile(null));
        $reps = fn (float $share): array => array_map(fn (CostedSet $set): float => $set->cost['reps'], $match->sets($price, $share));
        $this->assertSame([[35.0, 1.0], [17.0], []], [$reps(1.0), $reps(0.5), $reps(0.02)]);
        $this->assertSame([36, 'match m', 1.0], [
            $match->reps(), $match->sets($price)[0]->session, $match->sets($price)[1]->effort,
        ], 'an effort nobody knows is full');
        foreach ([['a', 7, true], ['b', 7, false], [null, 7, true], [null, 8, false], [null, null, false]] as [$named, $squad, $does]) {
            $this->assertSame($does, MatchEvent::concerns($named, $squad, 'a', [3, 7]));
        }
        $this->assertTrue(MatchEvent::concerns(null, 8, 'a', [3, 7], ['b', 'a']), 'in the line-up, whatever the squad');
        $this->assertFalse(MatchEvent::concerns(null, 7, 'a', [3, 7], ['b']), 'in the squad, but not in the line-up');
        $this->assertFalse(MatchEvent::concerns(null, 7, 'a', [3, 7], []));
        $this->expectException(InvalidValue::class);
        new MatchDose($this->dose->skill, -1, 0.5);
    }

    /** @param  callable(): Score  $score */
    private function assertRefused(callable $score): void
    {
        try {
            $score();
        } catch (InvalidValue) {
            $this->addToAssertionCount(1);

            return;
        }
        $this->fail('It was taken.');
    }

    public function test_scores_are_worked_out_from_what_was_seen_and_one_of_nothing_is_refused(): void
    {
        $round = Score::targetRound([[true, false, true], [false, false, false]], 2);
        $this->assertSame([ScoreKind::TargetRound, 4.0, '2 of 6 hit: 2, 0 by zone'], [$round->kind, $round->value, $round->detail]);
        $run = Score::inARow([true, true, false, true, true, true, false]);
        $this->assertSame([3.0, '7 tries'], [$run->value, $run->detail]);
        $this->assertSame(0.0, Score::inARow([])->value);
        $cleared = Score::clearTargets(9, 9);
        $this->assertSame([9.0, '9 targets'], [$cleared->value, $cleared->detail]);
        $game = Score::serveGame([[true, null], [false, true], [false, false], [true, null], [false, null]]);
        $this->assertEqualsWithDelta(0.4, $game->value, 1e-12);
        $this->assertSame('2 of 5 first serves in, 1 of 2 second, 1 double fault', $game->detail);
        $this->assertStringEndsWith('0 double faults', Score::serveGame([[true, null]])->detail);
        $grouping = Score::grouping([[1.0, 0.0], [1.2, 0.0], [0.8, 0.0], [1.1, 0.0]]);
        $this->assertEqualsWithDelta(1.025, $grouping->value, 1e-12);
        $this->assertSame('4 points, tends right', $grouping->detail);
        $this->assertSame('1 point', Score::grouping([[0.0, 0.0]])->detail);
        $this->assertRefused(fn (): Score => Score::targetRound([], 1));
        $this->assertRefused(fn (): Score => Score::targetRound([[true]], 0));
        $this->assertRefused(fn (): Score => Score::clearTargets(8, 9));
        $this->assertRefused(fn (): Score => Score::clearTargets(0, 0));
        $this->assertRefused(fn (): Score => Score::serveGame([]));
        $this->assertRefused(fn (): Score => Score::grouping([]));
    }

    public function test_a_serve_to_be_tried_takes_the_place_of_others_and_less_pace_is_less_effort(): void
    {
        $whole = new BlockPlan($this->dose, 3, 24, 0.8, 9.0);
        $given = ServeTarget::outOf($whole, new ServeChange(0.9, 0.0, 0.0, 0.5, null));
        $this->assertNotNull($given);
        $this->assertSame([14, 10], [$given->rest->reps, $given->target->reps], 'ten at most, and none on top');
        $this->assertSame([BlockKind::Target, false], [$given->target->asked->kind, $given->target->asked->judged]);
        $this->assertSame([0.8, 9.0], [$given->rest->effort, $given->target->distanceM]);
        // The energy goes with the square of the speed: 81 of 100 of what eight tenths of an effort cost.
        $curve = EffortCurve::Perceived;
        $this->assertSame(round($curve->effortOf(0.81 * $curve->stressShare(0.8)), 2), $given->target->effort);
        $same = ServeTarget::outOf(new BlockPlan($this->dose, 1, 7, 0.8, 9.0), new ServeChange(1.0, 0.0, 0.0, 1.0, null));
        $this->assertSame([4, 3, 0.8], [$same?->rest->reps, $same?->target->reps, $same?->target->effort]);
        $this->assertNull(ServeTarget::outOf(new BlockPlan($this->dose, 1, 1, 0.8, 9.0), new ServeChange(0.9, 0.0, 0.0, 0.5, null)));
    }

    public function test_how_large_a_target_would_have_to_be_is_said_from_ten_points_on(): void
    {
        $points = array_map(fn (int $i): array => [(float) $i, 0.0], range(1, 9));
        $this->assertSame([], Grouping::targets($points));
        $targets = Grouping::targets([...$points, [0.0, -10.0]]);
        // Radii 1 to 10: the quantile at p lies at 1 + 9 p.
        $radii = array_map(fn (array $target): array => array_slice($target, 0, 2), $targets);
        $this->assertEqualsWithDelta([[0.5, 5.5], [0.6, 6.4], [0.7, 7.3], [0.8, 8.2], [0.9, 9.1]], $radii, 1e-9);
        // Of ten within a true half: at most two in 5.5 of 100, at most seven in 94.5, so that it lies from the third to the eighth.
        $bounds = array_map(fn (array $target): array => array_slice($target, 2), $targets);
        $this->assertSame([[3.0, 8.0], [4.0, 9.0], [5.0, 10.0], [6.0, null], [8.0, null]], $bounds);
        [$n, $share, $low, $high] = Grouping::within([[0.0, 0.0], [0.5, -1.0], [0.51, 0.0], [0.0, 1.01]], 1.0, 2.0);
        $this->assertSame([2, 0.5], [$n, $share], 'the edge is in');
        $this->assertEqualsWithDelta(1.0, $low + $high, 1e-12);
        $this->assertSame([0, 0.0], array_slice(Grouping::within([], 1.0, 1.0), 0, 2));
    }

    public function test_a_known_condition_covers_what_a_clinician_set_and_nothing_beside_it(): void
    {
        $from = Day::of('2027-05-01');
        $known = fn (?string $side = 'right'): KnownCondition => new KnownCondition(
            Site::Elbow, $side, Kind::Joint, 3, $from, $from->plus(30),
        );
        $report = fn (array $with = []): SorenessReport => new SorenessReport(...$with + [
            'at' => Instant::of('2027-05-20T08:00:00Z'), 'moment' => Moment::Before, 'site' => Site::Elbow, 'side' => 'right',
            'kind' => Kind::Joint, 'score' => 3,
        ]);
        $this->assertTrue($known()->covers($report()));
        $this->assertTrue($known()->covers($report(['score' => 1])));
        $this->assertTrue($known(null)->covers($report(['side' => 'left'])), 'set for either side');
        foreach (['2027-05-01T00:00:00Z', '2027-05-31T23:59:59Z'] as $at) {
            $this->assertTrue($known()->covers($report(['at' => Instant::of($at)])));
        }
        foreach ([
            ['score' => 0], ['score' => 4], ['side' => 'left'], ['side' => null], ['site' => Site::Shoulder], ['kind' => Kind::Muscle],
            ['at' => Instant::of('2027-04-30T23:59:59Z')], ['at' => Instant::of('2027-06-01T00:00:00Z')],
        ] as $with) {
            $this->assertFalse($known()->covers($report($with)));
        }
        $refused = [[Kind::Joint, 0], [Kind::Joint, 8], [Kind::Numb, 3], [Kind::Head, 3], [Kind::Swelling, 1], [Kind::Locking, 1]];
        foreach ($refused as [$kind, $upTo]) {
            try {
                new KnownCondition(Site::Elbow, 'right', $kind, $upTo, $from, $from);
                $this->fail("{$kind->value} up to {$upTo} was taken.");
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
        $this->assertSame(1, (new KnownCondition(Site::Elbow, 'right', Kind::Muscle, 1, $from, $from))->upToScore);
        $this->assertSame(7, (new KnownCondition(Site::Elbow, 'right', Kind::Muscle, 7, $from, $from))->upToScore);
    }

    /** Ten units a day for four weeks: the last week is as the month. With a units today, uncoupled, it is (60 + a) / 70. */
    public function test_a_ratio_allows_what_keeps_it_at_the_stop(): void
    {
        $limit = fn (Severity $severity, int $minDays = 28): RatioLimit => new RatioLimit(
            new LimitTerms('ratio', 'Ratio', 'test', $severity), Measure::Arm, RatioMethod::Uncoupled, 0.8, 1.3, 1.5, $minDays,
        );
        $on = Day::of(self::ON);
        $record = new LoadRecord(array_map(fn (int $ago): CostedSet => $this->armSet($ago, 10.0), range(1, 40)));
        $gauge = $limit(Severity::Hard)->gauge($record, $on);
        $this->assertEqualsWithDelta(1.5 * 70 - 60, $gauge->allowance, 1e-6);
        $status = fn (float $arm): Status => $gauge->read([$this->armSet(0, $arm)])->status;
        $this->assertSame(
            [Status::Within, Status::Within, Status::Near, Status::Near, Status::Over],
            array_map($status, [0.0, 31.0, 31.1, 45.0, 45.1]),
        );
        $this->assertSame(Status::Within, $gauge->read([])->status);
        $this->assertEqualsWithDelta(60 / 70, $gauge->read([])->projected, 1e-9);
        $this->assertNull($limit(Severity::Advise)->gauge($record, $on)->allowance, 'what is advised stops nothing');
        $short = $limit(Severity::Hard, 42)->gauge($record, $on);
        $this->assertSame([Status::Unknown, null], [$short->read([])->status, $short->allowance], 'forty-one days of record');
        $this->assertSame(Status::Within, $limit(Severity::Hard, 41)->gauge($record, $on)->read([])->status);
        $idle = $limit(Severity::Hard)->gauge(new LoadRecord([$this->armSet(30, 10.0), $this->armSet(3, 1.0)]), $on)->read([]);
        $this->assertSame(Status::Low, $idle->status);
        $this->assertSame(['ratio', null], [$limit(Severity::Hard)->kind(), $limit(Severity::Hard)->reachDays()]);
    }

    public function test_a_ratio_needs_a_record_that_has_begun_and_a_month_with_something_in_it(): void
    {
        foreach (RatioMethod::cases() as $method) {
            $this->assertNull($method->ratio(new DailySeries([], null), 1000));
            $this->assertNull($method->ratio(new DailySeries([1001 => 5.0], 1001), 1000), 'it begins tomorrow');
            $this->assertNull($method->ratio(new DailySeries([900 => 5.0], 1000), 1000), 'nothing in the month');
        }
        $even = new DailySeries(array_fill_keys(range(900, 1000), 4.0), 900);
        foreach (RatioMethod::cases() as $method) {
            $this->assertEqualsWithDelta(1.0, $method->ratio($even, 1000), 1e-9, $method->value);
            $this->assertEqualsWithDelta(1.0, $method->ratio($even, 1000, 28.0), 1e-9, 'exactly enough');
            $this->assertNull($method->ratio($even, 1000, 28.1), 'a week of the month holds too little');
        }
    }

    /** @param  int|null  $most  repetitions from which on it is over; null: never */
    #[TestWith([null, null])]
    #[TestWith([1, 0])]
    #[TestWith([2, 1])]
    #[TestWith([7001, 7000])]
    #[TestWith([10000, 9999])]
    #[TestWith([10001, null])]
    public function test_the_most_that_fits_is_found_by_halving(?int $most, ?int $fits): void
    {
        $limit = new RatioLimit(
            new LimitTerms('ratio', 'Ratio', 'test', Severity::Hard), Measure::Arm, RatioMethod::Rolling, 0.8, 1.3, 1.5, 28,
        );
        $over = new LimitState($limit, 1.0, 2.0, 1.5, null, Status::Over);
        $headroom = Headroom::largest(fn (int $reps): array => $most !== null && $reps >= $most ? [$over] : []);
        $this->assertSame([$fits, $fits === null ? [] : [$limit]], [$headroom->reps, $headroom->binding]);
    }

    /** @param  array<string, mixed>  $with */
    #[TestWith([BlockKind::WarmUp, 10, [], 360 + 50])]
    #[TestWith([BlockKind::Rehearsal, 10, [], 50])]
    #[TestWith([BlockKind::Part, 10, [], 80])]
    #[TestWith([BlockKind::OtherSide, 10, [], 80])]
    #[TestWith([BlockKind::Whole, 10, [], 120])]
    #[TestWith([BlockKind::Target, 10, [], 150])]
    #[TestWith([BlockKind::GameLike, 10, [], 150])]
    #[TestWith([BlockKind::CoolDown, 10, [], 50])]
    #[TestWith([BlockKind::Whole, 10, ['holdS' => 9], 120])]
    #[TestWith([BlockKind::Whole, 10, ['holdS' => 11], 130])]
    #[TestWith([BlockKind::Whole, 10, ['sets' => 3, 'reps' => 4], 120 + 2 * 60])]
    #[TestWith([BlockKind::WarmUp, 0, ['reps' => 0], 360])]
    #[TestWith([BlockKind::CoolDown, 0, ['reps' => 0], 240])]
    #[TestWith([BlockKind::Part, 0, ['reps' => 0], 120])]
    #[TestWith([BlockKind::WarmUp, 0, [], 0])]
    #[TestWith([BlockKind::Part, 0, ['reps' => 1], 0])]
    public function test_a_block_takes_its_repetitions_its_rests_and_what_loosens_up(
        BlockKind $kind, int $reps, array $with, int $seconds,
    ): void {
        $asked = $this->dose->with(['kind' => $kind, 'sets' => 1, 'reps' => 10, 'restS' => 60, 'holdS' => null, ...$with]);
        $plan = BlockPlan::asAsked($asked)->withReps($reps);
        $this->assertSame($seconds, SessionClock::blockSeconds($plan));
        $this->assertSame($seconds, SessionClock::seconds([$plan]));
        $whole = BlockPlan::asAsked($asked->with(['kind' => BlockKind::Whole, 'sets' => 1, 'reps' => 1, 'holdS' => null]));
        $this->assertSame($seconds === 0 ? 12 : $seconds + 45 + 12, SessionClock::seconds([$plan, $whole]), 'and a change-over');
        $this->assertSame(0, SessionClock::seconds([]));
    }

    public function test_doses_around_a_plan_are_whole_steps_that_stay_within_the_word(): void
    {
        $plan = (new BlockPlan($this->dose, 1, 8, 0.5, 10.0));
        $around = fn (float $cap, float $paceM = 0.7, bool $upwards = true): array => array_map(
            fn (BlockPlan $each): array => [$each->effort, $each->distanceM], DoseChoice::around($plan, $cap, $paceM, $upwards),
        );
        $all = $around(1.0);
        $this->assertSame([0.5, 10.0], $all[0], 'as planned first');
        $efforts = array_values(array_unique(array_column($all, 0)));
        $distances = array_values(array_unique(array_column($all, 1)));
        $this->assertCount(count($efforts) * count($distances), $all, 'each with each');
        $this->assertSame([], array_filter($efforts, fn (float $effort): bool => $effort < 0.2));
        $this->assertContains(10.7, $distances);
        $this->assertContains(9.3, $distances);
        $this->assertSame(0.5, max(array_column($around(0.5), 0)), 'no more than the word allows');
        $down = $around(1.0, upwards: false);
        $this->assertSame([0.5, 10.0], [max(array_column($down, 0)), max(array_column($down, 1))]);
        $this->assertSame([], array_filter(array_column($around(1.0, 9.0), 1), fn (float $m): bool => $m < 1.0), 'a metre at the least');
        $this->assertContains(1.0, array_column($around(1.0, 9.0), 1));
        $standing = DoseChoice::around(new BlockPlan($this->dose, 1, 8, 0.5, null), 1.0, 0.7, true);
        $this->assertSame([null], array_values(array_unique(array_map(fn (BlockPlan $each): ?float => $each->distanceM, $standing))));
        $this->assertCount(1, DoseChoice::around(new BlockPlan($this->dose, 1, 8, 0.0, 10.0), 1.0, 0.7, true), 'nothing to move');
        $this->expectException(InvalidValue::class);
        DoseChoice::around($plan, 1.0, 0.0, true);
    }

    /** @param  float|null  $projected  with the plan */
    #[TestWith([null, null, null, Status::Within, 0.0])]
    #[TestWith([30.0, null, 40.0, Status::Within, 0.75])]
    #[TestWith([30.0, 36.0, 40.0, Status::Near, 0.9])]
    #[TestWith([36.0, 30.0, 40.0, Status::Near, 0.9])]
    #[TestWith([0.0, 0.5, 0.0, Status::Over, 1.0])]
    #[TestWith([0.0, 0.0, 0.0, Status::Within, 0.0])]
    #[TestWith([0.25, 0.25, 0.5, Status::Within, 0.5])]
    #[TestWith([10.0, 50.0, 40.0, Status::Over, 1.25])]
    #[TestWith([null, null, null, Status::Over, 1.0])]
    public function test_how_full_a_limit_stands(?float $used, ?float $projected, ?float $max, Status $status, float $share): void
    {
        $limit = new RatioLimit(
            new LimitTerms('ratio', 'Ratio', 'test', Severity::Hard), Measure::Arm, RatioMethod::Rolling, 0.8, 1.3, 1.5, 28,
        );
        $this->assertEqualsWithDelta($share, (new LimitState($limit, $used, $projected, $max, null, $status))->share(), 1e-12);
    }

    private function armSet(int $daysAgo, float $arm): CostedSet
    {
        $set = BlockPlan::asAsked($this->dose)->cost(Day::of(self::ON)->plus(-$daysAgo), 's', new SetCost(new AthleteProfile(null)));

        return new CostedSet(
            day: $set->day, session: $set->session, skill: $set->skill, family: $set->family, side: $set->side,
            implement: $set->implement, cost: ['arm' => $arm] + $set->cost, effort: $set->effort, distanceM: $set->distanceM,
        );
    }
}
