<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Gates\GateEvidence;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Gates\Placing;
use Augendo\Core\Gates\Verdict;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\Library;
use Augendo\Core\Mechanics\Agreement;
use Augendo\Core\Mechanics\CheckpointProgress;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\Seen;
use Augendo\Core\Mechanics\SetLength;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\DoseChoice;
use Augendo\Core\Readiness\Grown;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SeeingFurtherTest extends TestCase
{
    public function test_not_seen_is_not_a_pass(): void
    {
        $asked = ['grip', 'toss'];
        $this->assertTrue(
            Seen::verdict($asked, ['grip' => true, 'toss' => true, 'stance' => false]),
            'what is not asked for decides nothing',
        );
        $this->assertFalse(Seen::verdict($asked, ['toss' => false]), 'one seen wrong is enough');
        $this->assertNull(Seen::verdict($asked, ['grip' => true]));
        $this->assertNull(Seen::verdict($asked, []));
        $this->assertNull(Seen::verdict([], []));
        $this->assertSame(['grip' => true, 'toss' => true], Seen::implied($asked, true, null));
        $this->assertSame(['toss' => false], Seen::implied($asked, false, 'toss'));
        $this->assertSame([], Seen::implied($asked, false, null));
        $this->assertSame(['toss' => false], Seen::implied(['toss'], false, null), 'there is nothing else it can have been');
        $this->assertSame([], Seen::implied($asked, null, 'toss'));
    }

    /**
     * Two psychiatrists and a hundred patients: κ 0.68 with standard error 0.087. J. L. Fleiss, Statistical Methods for Rates and
     * Proportions, 2nd ed. (1981), tables 13.1 and following. The two by two tables are checked by hand.
     *
     * @param  array<string, int>  $table  counts by "one|other"
     */
    #[DataProvider('tables')]
    public function test_agreement_beyond_chance_as_published(array $table, float $kappa, float $error, float $within): void
    {
        $pairs = [];
        foreach ($table as $said => $times) {
            array_push($pairs, ...array_fill(0, $times, explode('|', $said)));
        }
        $agreement = Agreement::of($pairs);
        $this->assertEqualsWithDelta($kappa, $agreement->kappa, $within);
        [$low, $high] = $agreement->interval ?? [0.0, 0.0];
        $this->assertEqualsWithDelta($error, ($high - $low) / 2 / 1.959963984540054, $within);
    }

    /** @return array<string, array{array<string, int>, float, float, float}> */
    public static function tables(): array
    {
        return [
            'Fleiss 1981' => [['p|p' => 75, 'p|n' => 1, 'p|o' => 4, 'n|p' => 5, 'n|n' => 4, 'n|o' => 1, 'o|o' => 10], 0.68, 0.087, 0.005],
            'half and half: kappa 0.4, and then the error is sqrt(1 - 0.4²) / sqrt(n)' => [
                ['g|g' => 35, 'g|b' => 15, 'b|g' => 15, 'b|b' => 35],
                0.4,
                sqrt(1 - 0.4 ** 2) / 10,
                1e-12,
            ],
        ];
    }

    public function test_agreement_that_chance_explains_is_said_to_be_unknown(): void
    {
        $all = Agreement::of(array_fill(0, 12, ['good', 'good']));
        $this->assertSame([12, 12, null, false], [$all->n, $all->same, $all->kappa, $all->isWeak()]);
        $this->assertTrue(Agreement::of([...array_fill(0, 8, ['good', 'not_good']), ...array_fill(0, 8, ['not_good', 'good'])])->isWeak());
        $this->assertFalse(Agreement::of([['good', 'not_good']])->isWeak(), 'one pair says nothing about two people');
        $this->assertSame('toss', Agreement::splitsOn([['toss', null], [null, 'toss'], ['grip', null], ['grip', 'grip'], [null, null]]));
        $this->assertNull(Agreement::splitsOn([['grip', 'grip']]));
        $this->expectException(InvalidValue::class);
        Agreement::of([]);
    }

    public function test_the_repetition_after_which_quality_goes_is_found(): void
    {
        mt_srand(7);
        $sessions = array_map(fn (): array => self::drawn(24, fn (int $i): float => $i < 14 ? 0.9 : 0.5), range(1, 10));
        $length = SetLength::of($sessions);
        $this->assertNotNull($length);
        $this->assertEqualsWithDelta(14, $length->after, 2);
        $this->assertEqualsWithDelta(0.9, $length->before, 0.1);
        $this->assertEqualsWithDelta(0.5, $length->later, 0.15);
        $this->assertNull(SetLength::of(array_slice($sessions, 0, 1)), 'one session is too little');
        $this->assertNull(SetLength::of(array_map(array_reverse(...), $sessions)), 'getting better is no drop');
        $this->assertNull(SetLength::of([]));
        // Nobody saw half of them: an unobserved repetition keeps its place in the order and says nothing.
        $blind = SetLength::of(
            array_map(
                fn (array $reps): array => array_map(
                    fn (JudgedRep $rep, int $i): JudgedRep => $i % 2 === 0 ? self::rep(null) : $rep,
                    $reps,
                    array_keys($reps),
                ),
                array_merge($sessions, $sessions),
            ),
        );
        $this->assertEqualsWithDelta(14, $blind?->after, 3);
    }

    public function test_a_drop_is_seldom_told_where_there_is_none_and_mostly_where_there_is_one(): void
    {
        mt_srand(11);
        $told = fn (callable $rate): int => count(
            array_filter(
                range(1, 400),
                fn (): bool => SetLength::of(array_map(fn (): array => self::drawn(20, $rate), range(1, 6))) !== null,
            ),
        );
        // The 5 % point counts changes both ways; only drops are told.
        $this->assertLessThan(0.05 * 400, $told(fn (int $i): float => 0.75));
        $this->assertGreaterThan(0.8 * 400, $told(fn (int $i): float => $i < 12 ? 0.9 : 0.55));
    }

    public function test_the_squad_is_a_weak_beginning_and_own_repetitions_outweigh_it(): void
    {
        mt_srand(5);
        $squad = array_map(fn (): array => self::drawn(24, fn (int $i): float => $i < 10 ? 0.9 : 0.4), range(1, 60));
        $miss = ['alone' => 0, 'with the squad' => 0];
        for ($i = 0; $i < 200; $i++) {
            $few = array_map(fn (): array => self::drawn(20, fn (int $i): float => $i < 10 ? 0.9 : 0.4), range(1, 3));
            $miss['alone'] += abs(10 - (SetLength::of($few)->after ?? 20));
            $miss['with the squad'] += abs(10 - (SetLength::of($few, $squad)->after ?? 20));
        }
        $this->assertLessThan(0.6 * $miss['alone'], $miss['with the squad']);
        $many = array_map(fn (): array => self::drawn(24, fn (int $i): float => $i < 17 ? 0.9 : 0.3), range(1, 25));
        $this->assertEqualsWithDelta(17, SetLength::of($many, $squad)?->after, 1);
    }

    public function test_a_checkpoint_is_compared_first_against_latest(): void
    {
        $better = CheckpointProgress::of([[1, 2, 6], [4, 2, 6], [8, 4, 6], [40, 9, 10], [44, 10, 10]]);
        $this->assertSame([[4, 12], [10, 10], 'better'], [$better?->first, $better?->latest, $better?->says]);
        $this->assertSame([1, 44], [$better?->fromDay, $better?->toDay]);
        $short = CheckpointProgress::of([[1, 2, 6], [4, 2, 6]]);
        $this->assertSame(
            [null, 'too few to tell'],
            [$short?->latest, $short?->says],
            'the same looks are not both the first and the latest',
        );
        $this->assertSame('too few to tell', CheckpointProgress::of([[1, 7, 10], [9, 8, 10]])?->says);
        $this->assertSame('worse', CheckpointProgress::of([[1, 10, 10], [9, 2, 10]])?->says);
        $this->assertNull(CheckpointProgress::of([[1, 0, 0]]));
    }

    public function test_a_newcomer_starts_at_the_last_rung_with_eight_of_ten_and_nothing_that_hurts(): void
    {
        $saw = function (int $judged, int $good, int $safety = 0): array {
            $reps = [];
            for ($i = 0; $i < $judged; $i++) {
                $reps[] = self::rep($i < $good, $i >= $judged - $safety);
            }

            return $reps;
        };
        $at = function (array $seen): array {
            $placing = Placing::of(4, $seen);

            return [$placing->look, $placing->place];
        };
        $this->assertSame([0, null], $at([]));
        $this->assertSame([0, null], $at([$saw(9, 9)]), 'ten are asked for');
        $this->assertSame([1, null], $at([$saw(10, 8)]));
        $this->assertSame([null, 0], $at([$saw(10, 8), $saw(10, 7)]));
        $this->assertSame([null, 0], $at([$saw(10, 9), $saw(4, 4, 1)]), 'a fault that hurts ends it');
        $this->assertSame([null, 1], $at([$saw(10, 9), $saw(10, 10), $saw(3, 0)]), 'eight cannot be reached any more');
        $this->assertSame([null, 0], $at([$saw(10, 2)]), 'the foot of the ladder is for everybody');
        $this->assertSame([null, 3], $at(array_fill(0, 4, $saw(10, 10))));
        // Only the first ten that were seen count; what was not seen takes no place among them, but a fault that can hurt does count.
        $this->assertSame([1, null], $at([[...$saw(10, 9), ...$saw(5, 0)]]));
        $this->assertSame([1, null], $at([[...array_fill(0, 6, self::rep(null)), ...$saw(10, 8)]]));
        $this->assertSame([0, null], $at([array_fill(0, 30, self::rep(null))]));
        $this->assertSame([null, 0], $at([[self::rep(null, true), ...$saw(10, 10)]]));
        $this->assertSame(
            [['judged' => 10, 'good' => 9, 'safety' => 0], ['judged' => 3, 'good' => 3, 'safety' => 0]],
            Placing::of(4, [$saw(12, 9), $saw(3, 3)])->seen,
        );
    }

    public function test_a_match_is_opened_by_two_good_days_of_varied_practice_a_week_apart(): void
    {
        $on = Day::of('2027-05-20');
        $ladder = (new Library(dirname(__DIR__, 2).'/library'))->ladder('volleyball-float-serve');
        $day = fn (int $ago, int $judged, int $good, int $safety = 0): array => array_map(
            fn (int $i): JudgedRep => self::rep($i < $good, $i < $safety, "{$on->plus(-$ago)->iso()}T18:00:{$i}0Z"),
            range(0, $judged - 1),
        );
        $open = function (
            array $days,
            string $rung = 'match',
            Word $word = Word::Full,
            ?bool $clearance = null,
        ) use ($ladder, $on): ?MatchReady {
            $at = $ladder->rung($rung) ?? throw new \LogicException;

            return MatchReady::of(
                $ladder, $at, GateResult::of($at->gate, $on, new GateEvidence([], [], $word, true, true, $clearance)),
                array_merge(...$days), $word, $clearance, $on,
            );
        };
        $good = [$day(10, 6, 5), $day(3, 6, 5)];
        $this->assertTrue($open($good)?->isOpen());
        $this->assertSame([12, 10, 0], [$open($good)->judged, $open($good)->good, $open($good)->safetyFaults]);
        $this->assertSame(Verdict::Short, $open([$day(9, 6, 6), $day(3, 6, 6)])?->criteria['apart'], 'six days are no week');
        $this->assertSame(Verdict::Short, $open([$day(10, 5, 5), $day(3, 6, 5)])?->criteria['apart'], 'five are too few');
        $this->assertTrue($open([$day(10, 3, 3), $day(10, 3, 2), $day(3, 6, 5)])?->isOpen(), 'two sessions of a day are one day');
        $this->assertSame(Verdict::Fail, $open([$day(10, 6, 3)])?->criteria['varied']);
        $this->assertSame(Verdict::Short, $open([[]])?->criteria['varied']);
        $this->assertSame(Verdict::Short, $open([$day(61, 6, 6), $day(3, 6, 6)])?->criteria['apart'], 'too long ago');
        $this->assertSame(Verdict::Short, $open([$day(-1, 6, 6), $day(-9, 6, 6)])?->criteria['varied'], 'what has not come yet is nothing');
        $this->assertSame(Verdict::Fail, $open([$day(10, 6, 6, 1), $day(3, 6, 5)])?->criteria['safety']);
        $this->assertSame(Verdict::Unknown, $open($good, word: Word::Unknown)?->criteria['readiness']);
        $this->assertSame(Verdict::Fail, $open($good, word: Word::Reduced)?->criteria['readiness']);
        $this->assertSame(Verdict::Fail, $open($good, clearance: false)?->criteria['clearance']);
        $kept = json_decode((string) json_encode($open($good)->toArray()), true);
        $this->assertEquals($open($good), MatchReady::fromArray($kept), 'kept beside a decision and read again');
        $this->assertSame(['2027-05-10', '2027-05-17'], $kept['good_days']);
        $unseen = array_map(fn (JudgedRep $rep): JudgedRep => new JudgedRep($rep->at, 's', null), $day(10, 6, 6));
        $this->assertSame(Verdict::Short, $open([$unseen])?->criteria['varied'], 'what nobody saw is no evidence');
    }

    public function test_a_match_is_spoken_of_only_where_it_counts_where_the_ball_lands(): void
    {
        $on = Day::of('2027-05-20');
        $library = new Library(dirname(__DIR__, 2).'/library');
        foreach ($library->ladderIds() as $id) {
            $ladder = $library->ladder($id);
            $counts = false;
            foreach ($ladder->rungs as $rung) {
                $poor = GateResult::of($rung->gate, $on, new GateEvidence([], [], Word::Full, true, true, null));
                $ready = MatchReady::of($ladder, $rung, $poor, [], Word::Full, null, $on);
                $this->assertSame($counts || ! $rung->outcomeIgnored, $ready !== null, "{$id}, {$rung->id}");
                if ($ready !== null) {
                    $this->assertSame(
                        $counts ? Verdict::Pass : Verdict::Fail,
                        $ready->criteria['held'],
                        "{$id}, {$rung->id}: held is what is behind, or what passes now",
                    );
                }
                $counts = $counts || ! $rung->outcomeIgnored;
            }
        }
        foreach (Word::cases() as $word) {
            $this->assertSame($word === Word::Full, MatchReady::mayPlay($word), $word->value);
        }
    }

    public function test_what_two_people_both_saw_is_known_only_when_they_counted_alike(): void
    {
        $this->assertSame([0, 2], Agreement::bothSaw([true, null, false, true], [true, true, true, null]));
        $this->assertSame([], Agreement::bothSaw([true, true], [true, true, true]));
        $this->assertSame([], Agreement::bothSaw([], []));
    }

    public function test_checkpoints_are_tallied_and_what_nobody_named_stands_apart(): void
    {
        $rep = fn (
            ?bool $good,
            ?string $faulty = null,
            ?array $seen = null,
        ): array => ['good' => $good, 'faulty' => $faulty, 'seen' => $seen];
        $this->assertSame(
            ['grip' => [2, 3], 'toss' => [1, 2], Seen::UNNAMED => [0, 2]],
            Seen::tally(
                ['grip', 'toss'],
                [
                    $rep(true),
                    $rep(false, 'toss'),
                    $rep(false),
                    $rep(null),
                    $rep(null, null, ['grip' => true]),
                    $rep(false, null, ['grip' => false]),
                    $rep(false),
                ],
            ),
        );
        $this->assertSame(['grip' => [0, 1]], Seen::tally(['grip'], [$rep(false)]), 'with one looked for, it was that one');
        $this->assertSame([], Seen::tally(['grip'], []));
    }

    public function test_soreness_that_grows_while_working_is_told_from_soreness_that_was_there(): void
    {
        $at = 0;
        $report = function (
            Moment $moment, int $score, string $side = 'right', Site $site = Site::Shoulder, Kind $kind = Kind::Muscle,
        ) use (&$at): SorenessReport {
            return new SorenessReport(Instant::of(sprintf('2027-05-20T17:%02d:00Z', $at++)), $moment, $site, $side, $kind, $score);
        };
        $scores = fn (array $reports): array => array_map(fn (SorenessReport $each): int => $each->score, Grown::during($reports));
        $this->assertSame([], $scores([$report(Moment::Morning, 3), $report(Moment::During, 3)]), 'as it was');
        $this->assertSame([4], $scores([$report(Moment::Morning, 3), $report(Moment::During, 4), $report(Moment::During, 4)]), 'told once');
        $this->assertSame([2, 5], $scores([$report(Moment::During, 2), $report(Moment::During, 1), $report(Moment::During, 5)]));
        $this->assertSame(
            [1],
            $scores([$report(Moment::Morning, 6, 'left'), $report(Moment::During, 1)]),
            'the other side is another place',
        );
        $this->assertSame(
            [1],
            $scores([$report(Moment::Morning, 6), $report(Moment::During, 1, kind: Kind::Joint)]),
            'a joint is not a muscle',
        );
        $this->assertSame([], $scores([$report(Moment::Morning, 1), $report(Moment::After, 6)]), 'afterwards nothing is stopped');
        $this->assertSame(
            [],
            $scores([new SorenessReport(Instant::of('2027-05-20T18:00:00Z'), Moment::During, Site::None, null, Kind::Muscle, 0)]),
        );
    }

    public function test_a_dose_moves_around_what_was_planned_and_no_further_than_the_word(): void
    {
        $rung = (new Library(dirname(__DIR__, 2).'/library'))->ladder('volleyball-float-serve')->rung('line') ?? throw new \LogicException;
        $plan = BlockPlan::asAsked($rung->ownDose());
        $efforts = fn (BlockPlan $plan, float $cap, bool $upwards = true): array => array_values(
            array_unique(array_map(fn (BlockPlan $each): float => $each->effort, DoseChoice::around($plan, $cap, 0.8, $upwards))),
        );
        $distances = fn (BlockPlan $plan, float $pace, bool $upwards = true): array => array_values(
            array_unique(
                array_map(fn (BlockPlan $each): ?float => $each->distanceM, DoseChoice::around($plan, 1.0, $pace, $upwards)),
                SORT_REGULAR,
            ),
        );
        $this->assertEquals([0.75, 0.55, 0.65, 0.85], $efforts($plan->withEffort(0.75), 1.0));
        $this->assertEquals([0.75, 0.55, 0.65], $efforts($plan->withEffort(0.75), 0.75), 'reduced stops at three quarters');
        $this->assertEquals([0.5, 0.3, 0.4], $efforts($plan->withEffort(0.5), 0.5), 'not checked in stops at half');
        $this->assertEquals([0.95, 0.75, 0.85], $efforts($plan->withEffort(0.95), 1.0), 'nothing beyond everything');
        $this->assertEquals([0.3, 0.2, 0.4], $efforts($plan->withEffort(0.3), 1.0), 'nothing below a fifth');
        $this->assertEquals([0.75, 0.55, 0.65], $efforts($plan->withEffort(0.75), 1.0, upwards: false));
        $this->assertEquals([9.0, 7.0, 8.0, 10.0, 11.0], $distances($plan->withDistance(9.0), 1.0));
        $this->assertEquals([9.0, 7.0, 8.0], $distances($plan->withDistance(9.0), 1.0, upwards: false));
        $this->assertEquals([1.5, 2.3, 3.1], $distances($plan->withDistance(1.5), 0.8), 'nothing nearer than a metre');
        $this->assertSame([null], $distances($plan->withDistance(null), 0.8));
        $this->assertCount(1, DoseChoice::around($plan->withEffort(0.0), 1.0, 0.8, true));
        $first = DoseChoice::around($plan, 1.0, 0.8, true)[0];
        $this->assertSame(
            [$plan->effort, $plan->distanceM, $plan->reps],
            [$first->effort, $first->distanceM, $first->reps],
            'as planned first',
        );
        $this->expectException(InvalidValue::class);
        DoseChoice::around($plan, 1.0, 0.0, true);
    }

    /**
     * @param  callable(int): float  $rate  chance of a good one by index
     * @return list<JudgedRep>
     */
    private static function drawn(int $reps, callable $rate): array
    {
        return array_map(fn (int $i): JudgedRep => self::rep(mt_rand() / mt_getrandmax() < $rate($i)), range(0, $reps - 1));
    }

    private static function rep(?bool $good, bool $safety = false, string $at = '2027-05-01T17:00:00Z'): JudgedRep
    {
        return new JudgedRep(Instant::of($at), 's', $good, $safety);
    }
}
