<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Gates\Placing;
use Augendo\Core\Gates\Verdict;
use Augendo\Core\InvalidValue;
use Augendo\Core\Mechanics\Agreement;
use Augendo\Core\Mechanics\CheckpointProgress;
use Augendo\Core\Mechanics\Seen;
use Augendo\Core\Mechanics\SetLength;
use Augendo\Core\Readiness\Word;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SeeingFurtherTest extends TestCase
{
    public function test_not_seen_is_not_a_pass(): void
    {
        $asked = ['grip', 'toss'];
        $this->assertTrue(Seen::verdict($asked, ['grip' => true, 'toss' => true, 'stance' => false]), 'what is not asked for decides nothing');
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
            'half and half: kappa 0.4, and then the error is sqrt(1 - 0.4²) / sqrt(n)' => [['g|g' => 35, 'g|b' => 15, 'b|g' => 15, 'b|b' => 35], 0.4, sqrt(1 - 0.4 ** 2) / 10, 1e-12],
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
        $sessions = array_map(fn (): string => self::marks(24, fn (int $i): float => $i < 14 ? 0.9 : 0.5), range(1, 10));
        $length = SetLength::of($sessions);
        $this->assertNotNull($length);
        $this->assertEqualsWithDelta(14, $length->after, 2);
        $this->assertEqualsWithDelta(0.9, $length->before, 0.1);
        $this->assertEqualsWithDelta(0.5, $length->later, 0.15);
        $this->assertNull(SetLength::of(array_slice($sessions, 0, 1)), 'one session is too little');
        $this->assertNull(SetLength::of(array_map(strrev(...), $sessions)), 'getting better is no drop');
        $this->assertNull(SetLength::of([]));
        // Nobody saw half of them: an unobserved repetition keeps its place in the order and says nothing.
        $blind = SetLength::of(array_map(fn (string $marks): string => (string) preg_replace('/.(.)/', 'u$1', $marks), array_merge($sessions, $sessions)));
        $this->assertEqualsWithDelta(14, $blind?->after, 3);
    }

    public function test_a_drop_is_seldom_told_where_there_is_none_and_mostly_where_there_is_one(): void
    {
        mt_srand(11);
        $told = fn (callable $rate): int => count(array_filter(range(1, 400), fn (): bool => SetLength::of(array_map(fn (): string => self::marks(20, $rate), range(1, 6))) !== null));
        // The 5 % point counts changes both ways; only drops are told.
        $this->assertLessThan(0.05 * 400, $told(fn (int $i): float => 0.75));
        $this->assertGreaterThan(0.8 * 400, $told(fn (int $i): float => $i < 12 ? 0.9 : 0.55));
    }

    public function test_the_squad_is_a_weak_beginning_and_own_repetitions_outweigh_it(): void
    {
        mt_srand(5);
        $squad = array_map(fn (): string => self::marks(24, fn (int $i): float => $i < 10 ? 0.9 : 0.4), range(1, 60));
        $miss = ['alone' => 0, 'with the squad' => 0];
        for ($i = 0; $i < 200; $i++) {
            $few = array_map(fn (): string => self::marks(20, fn (int $i): float => $i < 10 ? 0.9 : 0.4), range(1, 3));
            $miss['alone'] += abs(10 - (SetLength::of($few)->after ?? 20));
            $miss['with the squad'] += abs(10 - (SetLength::of($few, $squad)->after ?? 20));
        }
        $this->assertLessThan(0.6 * $miss['alone'], $miss['with the squad']);
        $many = array_map(fn (): string => self::marks(24, fn (int $i): float => $i < 17 ? 0.9 : 0.3), range(1, 25));
        $this->assertEqualsWithDelta(17, SetLength::of($many, $squad)?->after, 1);
    }

    public function test_a_checkpoint_is_compared_first_against_latest(): void
    {
        $better = CheckpointProgress::of([[1, 2, 6], [4, 2, 6], [8, 4, 6], [40, 9, 10], [44, 10, 10]]);
        $this->assertSame([[4, 12], [10, 10], 'better'], [$better?->first, $better?->latest, $better?->says]);
        $this->assertSame([1, 44], [$better?->fromDay, $better?->toDay]);
        $short = CheckpointProgress::of([[1, 2, 6], [4, 2, 6]]);
        $this->assertSame([null, 'too few to tell'], [$short?->latest, $short?->says], 'the same looks are not both the first and the latest');
        $this->assertSame('too few to tell', CheckpointProgress::of([[1, 7, 10], [9, 8, 10]])?->says);
        $this->assertSame('worse', CheckpointProgress::of([[1, 10, 10], [9, 2, 10]])?->says);
        $this->assertNull(CheckpointProgress::of([[1, 0, 0]]));
    }

    public function test_a_newcomer_starts_at_the_last_rung_with_eight_of_ten_and_nothing_that_hurts(): void
    {
        $saw = fn (int $judged, int $good, int $safety = 0): array => ['judged' => $judged, 'good' => $good, 'safety' => $safety];
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
    }

    public function test_a_match_is_opened_by_two_good_days_of_varied_practice_a_week_apart(): void
    {
        $on = Day::of('2027-05-20');
        $day = fn (int $ago, int $judged, int $good, int $safety = 0): array => ['day' => $on->plus(-$ago), 'judged' => $judged, 'good' => $good, 'safety' => $safety];
        $open = fn (array $days, bool $held = true, Word $word = Word::Full, ?bool $clearance = null): MatchReady => MatchReady::of($held, $days, 0.8, $word, $clearance, $on);
        $good = [$day(10, 8, 7), $day(3, 8, 7)];
        $this->assertTrue($open($good)->isOpen());
        $this->assertSame(Verdict::Short, $open([$day(9, 8, 8), $day(3, 8, 8)])->criteria['apart'], 'six days are no week');
        $this->assertSame(Verdict::Short, $open([$day(10, 5, 5), $day(3, 8, 7)])->criteria['apart'], 'five are too few');
        $this->assertTrue($open([$day(10, 4, 4), $day(10, 4, 3), $day(3, 8, 7)])->isOpen(), 'two sessions of a day are one day');
        $this->assertSame(Verdict::Fail, $open([$day(10, 8, 4)])->criteria['varied']);
        $this->assertSame(Verdict::Short, $open([])->criteria['varied']);
        $this->assertSame(Verdict::Short, $open([$day(61, 8, 8), $day(3, 8, 8)])->criteria['apart'], 'too long ago');
        $this->assertSame(Verdict::Fail, $open([$day(10, 8, 7, 1), $day(3, 8, 7)])->criteria['safety']);
        $this->assertSame(Verdict::Fail, $open($good, held: false)->criteria['held']);
        $this->assertSame(Verdict::Unknown, $open($good, word: Word::Unknown)->criteria['readiness']);
        $this->assertSame(Verdict::Fail, $open($good, word: Word::Reduced)->criteria['readiness']);
        $this->assertSame(Verdict::Fail, $open($good, clearance: false)->criteria['clearance']);
    }

    /** @param  callable(int): float  $rate  chance of a good one by index */
    private static function marks(int $reps, callable $rate): string
    {
        return implode('', array_map(fn (int $i): string => mt_rand() / mt_getrandmax() < $rate($i) ? 'g' : 'b', range(0, $reps - 1)));
    }
}
