<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Gates\Attention;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\GateDecision;
use Augendo\Core\Gates\Watch;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Mechanics\Agreement;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\SetLength;
use Augendo\Core\Mechanics\Statistics;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Scoring\Grouping;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Figures against a second, plain reading of their definitions, on random cases; and what happens at the edge. */
final class StatisticsTest extends TestCase
{
    #[TestWith([0, 0])]
    #[TestWith([-1, 5])]
    #[TestWith([6, 5])]
    public function test_what_is_no_proportion_is_refused(int $good, int $n): void
    {
        $this->expectException(InvalidValue::class);
        Statistics::wilsonLowerBound($good, $n, 0.9);
    }

    #[TestWith([0.0])]
    #[TestWith([1.0])]
    #[TestWith([-0.1])]
    #[TestWith([1.5])]
    public function test_what_is_no_probability_has_no_quantile(float $p): void
    {
        $this->expectException(InvalidValue::class);
        Statistics::normalQuantile($p);
    }

    /** The quantile is held against the distribution itself, integrated by Simpson's rule, on both sides of where the algorithm changes. */
    public function test_the_quantile_is_where_the_distribution_reaches_it(): void
    {
        $density = fn (float $x): float => exp(-$x ** 2 / 2) / sqrt(2 * M_PI);
        foreach ([0.51, 0.6, 0.7, 0.8, 0.9, 0.92, 0.924, 0.926, 0.95, 0.99, 0.999, 0.99999] as $p) {
            $z = Statistics::normalQuantile($p);
            $steps = 2000;
            $sum = $density(0.0) + $density($z);
            for ($i = 1; $i < $steps; $i++) {
                $sum += ($i % 2 === 1 ? 4 : 2) * $density($z * $i / $steps);
            }
            $this->assertEqualsWithDelta($p, 0.5 + $sum * $z / $steps / 3, 1e-12, "at {$p}");
            $this->assertEqualsWithDelta(-$z, Statistics::normalQuantile(1 - $p), 1e-9, 'as far to the other side');
        }
        $this->assertSame(0.0, Statistics::normalQuantile(0.5));
    }

    public function test_an_interval_that_touches_nothing_says_too_little(): void
    {
        $this->assertSame(
            ['too few to tell', 'too few to tell', 'better', 'worse', 'too few to tell'],
            [
                Statistics::says(0.0, 0.4), Statistics::says(-0.4, 0.0), Statistics::says(1e-6, 0.4), Statistics::says(-0.4, -1e-6),
                Statistics::says(-0.1, 0.1),
            ],
        );
    }

    /** The drop within a set, by trying every place and reckoning each likelihood from its definition. */
    public function test_the_length_of_a_set_is_where_the_two_parts_differ_most(): void
    {
        mt_srand(20_261_126);
        $found = 0;
        for ($run = 0; $run < 400; $run++) {
            [$drop, $high, $low] = [mt_rand(3, 9), mt_rand(70, 100) / 100, mt_rand(10, 60) / 100];
            $draw = fn (int $sessions): array => array_map(fn (): array => array_map(
                fn (int $i): ?bool => mt_rand(0, 19) === 0 ? null : mt_rand() / mt_getrandmax() < ($i < $drop ? $high : $low),
                range(0, mt_rand(7, 11)),
            ), range(1, $sessions));
            [$own, $squad] = [$draw(mt_rand(3, 7)), mt_rand(0, 2) === 0 ? [] : $draw(mt_rand(1, 9))];
            $expected = self::longestGood($own, $squad);
            $length = SetLength::of(self::judged($own), self::judged($squad));
            $this->assertSame($expected[0] ?? null, $length?->after, "run {$run}");
            if ($length !== null && $expected !== null) {
                $found++;
                $this->assertEqualsWithDelta([$expected[1], $expected[2]], [$length->before, $length->later], 1e-9);
            }
        }
        $this->assertGreaterThan(150, $found);
        $this->assertLessThan(390, $found);
    }

    public function test_forty_judged_repetitions_are_enough_and_thirty_nine_are_not(): void
    {
        $session = array_merge(array_fill(0, 5, true), array_fill(0, 5, false));
        $forty = array_fill(0, 4, $session);
        $this->assertSame(5, SetLength::of(self::judged($forty))?->after);
        $forty[3][9] = null;
        $this->assertNull(SetLength::of(self::judged($forty)));
    }

    /**
     * @param  list<list<bool|null>>  $own
     * @param  list<list<bool|null>>  $squad
     * @return array{int, float, float}|null where it drops, and the good rate before and from there
     */
    private static function longestGood(array $own, array $squad): ?array
    {
        $count = fn (array $sessions, int $i, bool $good): int => count(array_filter(
            $sessions, fn (array $reps): bool => isset($reps[$i]) && (! $good || $reps[$i]),
        ));
        $length = max(array_map(count(...), $own));
        $all = fn (array $sessions, int $upTo): int => array_sum(
            array_map(fn (int $i): int => $count($sessions, $i, false), range(0, $upTo - 1)),
        );
        if ($all($own, $length) < 40) {
            return null;
        }
        $squadSeen = $squad === [] ? 0 : $all($squad, max(array_map(count(...), $squad)));
        $weight = $squadSeen <= 40 ? 1.0 : 40 / $squadSeen;
        [$good, $seen] = [[], []];
        for ($i = 0; $i < $length; $i++) {
            $good[$i] = $count($own, $i, true) + $weight * $count($squad, $i, true);
            $seen[$i] = $count($own, $i, false) + $weight * $count($squad, $i, false);
        }
        $likelihood = function (float $g, float $n): float {
            [$p, $bad] = [$g / $n, $n - $g];

            return ($g > 0 ? $g * log($p) : 0.0) + ($bad > 0 ? $bad * log(1 - $p) : 0.0);
        };
        [$best, $most] = [null, 8.68];
        for ($k = 1; $k < $length; $k++) {
            [$g, $n] = [array_sum(array_slice($good, 0, $k)), array_sum(array_slice($seen, 0, $k))];
            [$restG, $restN] = [array_sum($good) - $g, array_sum($seen) - $n];
            if ($n / ($n + $restN) < 0.15 || $restN / ($n + $restN) < 0.15 || $g / $n <= $restG / $restN) {
                continue;
            }
            $gain = 2 * ($likelihood($g, $n) + $likelihood($restG, $restN) - $likelihood($g + $restG, $n + $restN));
            if ($gain > $most + 1e-9) {
                [$best, $most] = [[$k, $g / $n, $restG / $restN], $gain];
            }
        }

        return $best;
    }

    /**
     * @param  list<list<bool|null>>  $sessions
     * @return list<list<JudgedRep>>
     */
    private static function judged(array $sessions): array
    {
        $at = Instant::of('2027-05-10T17:00:00Z');

        $rep = fn (?bool $good): JudgedRep => new JudgedRep($at, 's', $good);

        return array_map(fn (array $reps): array => array_map($rep, $reps), $sessions);
    }

    /** Where it landed, by definitions that know nothing of each other. */
    public function test_a_grouping_is_what_its_definitions_say(): void
    {
        mt_srand(7);
        for ($run = 0; $run < 200; $run++) {
            $n = mt_rand(1, 14);
            $point = fn (): array => [mt_rand(-200, 300) / 100, mt_rand(-300, 100) / 100];
            $points = array_map($point, range(1, $n));
            $grouping = Grouping::of($points);
            $mean = fn (array $values): float => array_sum($values) / count($values);
            [$x, $y] = [array_column($points, 0), array_column($points, 1)];
            $this->assertEqualsWithDelta([$mean($x), $mean($y)], [$grouping->acrossM, $grouping->alongM], 1e-12);
            // The circle that holds half: no more than half lie nearer than it, no more than half further.
            $about = array_map(fn (array $p): float => sqrt(($p[0] - $mean($x)) ** 2 + ($p[1] - $mean($y)) ** 2), $points);
            $beyond = fn (float $by): int => count(array_filter($about, fn (float $r): bool => $by * ($r - $grouping->halfCircleM) > 1e-9));
            $this->assertLessThanOrEqual($n / 2, $beyond(1.0), "run {$run}");
            $this->assertLessThanOrEqual($n / 2, $beyond(-1.0), "run {$run}");
            $this->assertSame($n < 3, $grouping->ellipse === null);
            if ($grouping->ellipse !== null) {
                // The axes carry all the scatter, and along the long one it is as large as along no other line.
                $spread = fn (array $values): float => array_sum(
                    array_map(fn (float $v): float => ($v - $mean($values)) ** 2, $values),
                ) / ($n - 1);
                $along = fn (float $angle): float => $spread(
                    array_map(fn (array $p): float => $p[0] * cos($angle) + $p[1] * sin($angle), $points),
                );
                [$long, $short, $angle] = $grouping->ellipse;
                $this->assertEqualsWithDelta($spread($x) + $spread($y), $long ** 2 + $short ** 2, 1e-9);
                $this->assertEqualsWithDelta($long ** 2, $along($angle), 1e-9);
                $this->assertEqualsWithDelta($short ** 2, $along($angle + M_PI / 2), 1e-9);
                $this->assertGreaterThanOrEqual($short, $long);
            }
            $this->assertSame(self::tendency($x, $y), $grouping->tendency, "run {$run}");
            $this->assertSame($n < 6, $grouping->thirds === null);
            if ($grouping->thirds !== null) {
                $third = intdiv($n, 3);
                foreach ([array_slice($points, 0, $third), array_slice($points, $n - $third)] as $i => $part) {
                    $this->assertSame($third, $grouping->thirds[$i]->n);
                    $this->assertNull($grouping->thirds[$i]->thirds, 'a third is not cut again');
                    $this->assertEqualsWithDelta($mean(array_column($part, 0)), $grouping->thirds[$i]->acrossM, 1e-12);
                }
            }
        }
        $twenty = Grouping::of(array_map(fn (int $i): array => [(float) $i, 0.0], range(1, 20)));
        $this->assertNull($twenty->thirds[0]->thirds ?? null);
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @return list<string>
     */
    private static function tendency(array $x, array $y): array
    {
        $says = [];
        foreach ([[$x, 'left', 'right'], [$y, 'short', 'long']] as [$values, $below, $above]) {
            $n = count($values);
            $mean = array_sum($values) / $n;
            if ($n >= 4) {
                $error = sqrt(array_sum(array_map(fn (float $v): float => ($v - $mean) ** 2, $values)) / ($n - 1) / $n);
                if (abs($mean) > 2 * $error) {
                    $says[] = $mean < 0 ? $below : $above;
                }
            }
        }

        return $says;
    }

    public function test_ten_pairs_are_enough_to_speak_of_and_weak_is_below_forty_one_hundredths(): void
    {
        $pairs = fn (int $both, int $neither, int $one): array => [
            ...array_fill(0, $both, ['good', 'good']), ...array_fill(0, $neither, ['bad', 'bad']), ...array_fill(0, $one, ['good', 'bad']),
        ];
        $this->assertTrue(Agreement::of($pairs(2, 2, 6))->isWeak());
        $this->assertFalse(Agreement::of($pairs(2, 2, 5))->isWeak(), 'nine are too few');
        $this->assertTrue(Agreement::of($pairs(2, 2, 6))->isEnough());
        $this->assertFalse(Agreement::of($pairs(40, 40, 2))->isWeak());
        $this->assertTrue(Agreement::of([...array_fill(0, 12, ['good', 'bad'])])->isWeak(), 'they never agree');
        $this->assertFalse(Agreement::of(array_fill(0, 12, ['good', 'good']))->isWeak(), 'they always do');
        $this->assertNull(Agreement::of(array_fill(0, 12, ['good', 'good']))->kappa, 'beyond chance nothing can be said');
        [$low, $high] = Agreement::of($pairs(5, 5, 1))->interval ?? [0.0, 0.0];
        $this->assertSame([true, true], [$low >= -1.0, $high <= 1.0]);
        $seen = [['grip', null], ['toss', null], [null, 'grip'], ['grip', 'toss'], ['toss', 'toss']];
        $this->assertSame('grip', Agreement::splitsOn($seen));
        $this->assertSame([0, 2], Agreement::bothSaw([true, null, false, true], [false, true, false, null]));
        $this->assertSame([], Agreement::bothSaw([true, true], [true]));
    }

    /** A look of one more repetition from a uniform prior: 5 of 5 good so far makes the next good with a chance of 6 in 7. */
    public function test_what_a_look_would_decide_is_worked_out_from_what_was_seen(): void
    {
        $gate = new Gate(minReps: 6, targetRate: 0.9, lowerBound: 0.0, stepBackRate: 0.5);
        $this->assertEqualsWithDelta(6 / 7, Watch::of($gate, 5, 5, 1)->opens, 1e-12);
        $this->assertSame(0.0, Watch::of($gate, 4, 4, 1)->opens, 'five are too few');
        $this->assertEqualsWithDelta(1.0, Watch::of($gate, 5, 0, 1)->stepsBack, 1e-12, 'none of six, or one');
        $even = Watch::of($gate, 5, 2, 1);
        // 3 of 6 is half, and half is not below half.
        $this->assertEqualsWithDelta(4 / 7, $even->stepsBack, 1e-12);
        $at = fn (float $rate): Gate => new Gate(minReps: 1, targetRate: $rate, lowerBound: 0.0, stepBackRate: 0.0);
        $decide = fn (float $rate): Attention => Attention::of(
            false, Word::Full, GateDecision::Repeat, Watch::of($at($rate), 5, 0, 1),
        );
        // One of six is 0.167, with a chance of one in seven: 0.143, short of 0.15.
        $this->assertSame(Attention::Stuck, $decide(0.16));
        $this->assertSame(Attention::Watch, $decide(0.0));
        $back = Watch::of(new Gate(minReps: 1, targetRate: 1.0, lowerBound: 0.0, stepBackRate: 0.1), 5, 0, 1);
        $this->assertEqualsWithDelta([0.0, 6 / 7], [$back->opens, $back->stepsBack], 1e-12);
        $this->assertSame(Attention::Watch, Attention::of(false, Word::Full, GateDecision::Repeat, $back), 'a step back, too');
        $this->assertSame(Attention::Watch, Attention::of(false, Word::Full, GateDecision::Collect, Watch::of($gate, 0, 0, 1)));
        $this->assertSame(Attention::Ready, Attention::of(false, Word::Full, GateDecision::Advance, $back));
        $this->assertSame(Attention::Rest, Attention::of(false, Word::None, GateDecision::Advance, $back));
        $this->assertSame(Attention::Return, Attention::of(true, Word::None, GateDecision::Advance, $back));
        $this->assertSame([0, 1, 2, 3, 4], array_map(fn (Attention $each): int => $each->place(), Attention::cases()));
    }
}
