<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\InvalidValue;
use Augendo\Core\Mechanics\Statistics;
use Augendo\Core\Scoring\Grouping;
use Augendo\Core\Scoring\Score;
use Augendo\Core\Scoring\ScoreKind;
use PHPUnit\Framework\TestCase;

final class ScoringTest extends TestCase
{
    /** Worked values of R. G. Newcombe, Statistics in Medicine 17 (1998): 857–872 for one proportion, 873–890 for a difference. */
    public function test_intervals_are_those_that_were_published(): void
    {
        $this->assertEqualsWithDelta([0.2553, 0.3662], Statistics::wilsonInterval(81, 263, 0.95), 5e-5);
        $this->assertEqualsWithDelta([0.0, 0.2039], Statistics::wilsonInterval(0, 15, 0.95), 5e-5);
        $this->assertEqualsWithDelta([0.2, 0.0524, 0.3339], Statistics::newcombe(56, 70, 48, 80, 0.95), 5e-5);
        [, $low, $high] = Statistics::newcombe(9, 10, 3, 10, 0.95);
        $this->assertEqualsWithDelta([0.1705, 0.8090], [$low, $high], 5e-5);
    }

    public function test_a_grouping_says_how_far_how_wide_and_which_way(): void
    {
        // A square of side 2 about (3, 4): mean offset (3, 4), every corner √2 from the middle.
        $grouping = Grouping::of([[2.0, 3.0], [4.0, 3.0], [4.0, 5.0], [2.0, 5.0]]);
        $this->assertEqualsWithDelta([3.0, 4.0, sqrt(2)], [$grouping->acrossM, $grouping->alongM, $grouping->halfCircleM], 1e-12);
        $this->assertEqualsWithDelta((hypot(2, 3) + hypot(4, 3) + hypot(4, 5) + hypot(2, 5)) / 4, $grouping->meanRadialErrorM, 1e-12);
        $this->assertSame(['right', 'long'], $grouping->tendency);
        $this->assertEqualsWithDelta([sqrt(4 / 3), sqrt(4 / 3)], array_slice((array) $grouping->ellipse, 0, 2), 1e-12);
        // Four points: squared radius 2 × 15/8 × F(1/2; 2, 2), and that F is 1.
        $this->assertEqualsWithDelta(sqrt(4 / 3) * sqrt(3.75), $grouping->ellipseHolding(0.5)[0] ?? 0.0, 1e-12);
        // Along a line at 45 degrees the short axis is nothing.
        $line = Grouping::of([[-1.0, -1.0], [0.0, 0.0], [1.0, 1.0]]);
        $this->assertEqualsWithDelta([sqrt(2.0), 0.0, M_PI / 4], $line->ellipse, 1e-9);
        $this->assertSame([[], null], [$line->tendency, Grouping::of([[0.0, 0.0]])->ellipse]);
        $thirds = Grouping::of([[0.0, 0.0], [0.0, 0.0], [1.0, 0.0], [1.0, 0.0], [5.0, 0.0], [5.0, 0.0]])->thirds;
        $this->assertSame([0.0, 5.0], [$thirds[0]->acrossM ?? null, $thirds[1]->acrossM ?? null]);
        [$inside, $share, $low, $high] = Grouping::within([[0.4, 0.4], [0.6, 0.0], [0.0, 0.5]], 1.0, 1.0);
        $this->assertSame(2, $inside);
        $this->assertTrue($low < $share && $share < $high);

        // A scatter of known spread: about half and nine tenths lie in the ellipses said to hold them.
        mt_srand(8);
        $normal = fn (): float => sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
        $points = array_map(fn (): array => [0.5 * $normal(), 2.0 * $normal()], range(1, 4000));
        $scatter = Grouping::of($points, false);
        foreach ([0.5, 0.9] as $held) {
            [$long, $short] = $scatter->ellipseHolding($held) ?? [1.0, 1.0];
            $in = count(
                array_filter(
                    $points,
                    fn (array $p): bool => (($p[1] - $scatter->alongM) / $long) ** 2 + (($p[0] - $scatter->acrossM) / $short) ** 2 <= 1,
                ),
            );
            $this->assertEqualsWithDelta($held, $in / 4000, 0.02);
        }
        // The next point lies in the nine-tenths ellipse of five points nine times of ten.
        $held = 0;
        for ($i = 0; $i < 4000; $i++) {
            $five = Grouping::of(array_map(fn (): array => [$normal(), $normal()], range(1, 5)), false);
            [$long, $short] = $five->ellipseHolding(0.9) ?? [1.0, 1.0];
            $turn = $five->ellipse[2] ?? 0.0;
            [$x, $y] = [$normal() - $five->acrossM, $normal() - $five->alongM];
            $held += (($x * cos($turn) + $y * sin($turn)) / $long) ** 2 + (($y * cos($turn) - $x * sin($turn)) / $short) ** 2 <= 1 ? 1 : 0;
        }
        $this->assertEqualsWithDelta(0.9, $held / 4000, 0.015);
        $this->expectException(InvalidValue::class);
        Grouping::of([]);
    }

    public function test_gaps_against_the_clock_count_their_misses_as_work(): void
    {
        $gaps = Score::timedGaps([12.34, 9.0], 10, 23);
        $this->assertEqualsWithDelta(21.34, $gaps->value, 1e-12);
        $this->assertSame(['10 passes each: 12.3 s, 9 s; 3 missed', 23, null], [$gaps->detail, $gaps->reps, $gaps->rate]);
        $this->assertSame('10 passes each: 9 s', Score::timedGaps([9.0], 10, 10)->detail);
        $this->assertSame(9.0, ScoreKind::TimedGaps->best([12.0, 9.0, 10.0]));
        foreach ([[[], 10, 10], [[9.0], 0, 10], [[9.0, 8.0], 10, 19], [[-0.1], 1, 1]] as [$times, $passes, $throws]) {
            try {
                Score::timedGaps($times, $passes, $throws);
                $this->fail(json_encode([$times, $passes, $throws], JSON_THROW_ON_ERROR));
            } catch (InvalidValue $error) {
                $this->assertStringContainsString('as many throws as passes', $error->getMessage());
            }
        }
    }

    public function test_rounds_are_told_together_where_they_are_a_share_of_something(): void
    {
        $game = Score::serveGame([[true, null], [false, true], [false, false], [true, null]]);
        $this->assertSame([[2, 4], [1, 2]], [$game->rate, $game->second]);
        $round = Score::targetRound([[true, true, true, false]], 5, 1);
        $this->assertSame(['3 of 4 hit: 3 by zone; 1 missed on the safe side', null], [$round->detail, $round->second]);
        [$good, $all, $low, $high] = Score::together([$game, $round, Score::inARow([true, false])]) ?? [0, 0, 0.0, 0.0];
        $this->assertSame([6, 10], [$good, $all]);
        $this->assertEqualsWithDelta(Statistics::wilsonInterval(6, 10, 0.8), [$low, $high], 1e-12);
        $this->assertNull(Score::together([Score::grouping([[0.0, 0.0]]), Score::clearTargets(9, 3)]));
        $this->assertNull(Score::together([]));
    }

    public function test_scores_count_what_they_say(): void
    {
        $round = Score::targetRound(
            [
                [true, true, false, true, true],
                [true, false, false, false, false],
                [true, true, true, true, true],
                [false, false, false, false, false],
            ],
            5,
        );
        $this->assertSame([50.0, '10 of 20 hit: 4, 1, 5, 0 by zone'], [$round->value, $round->detail]);
        $this->assertSame(100.0, Score::targetRound(array_fill(0, 4, array_fill(0, 5, true)), 5)->value);
        $this->assertSame(4.0, Score::inARow([true, true, false, true, true, true, true, false, true])->value);
        $this->assertSame(0.0, Score::inARow([])->value);
        $game = Score::serveGame([[true, null], [false, true], [false, false], [true, null]]);
        $this->assertSame([0.5, '2 of 4 first serves in, 1 of 2 second, 1 double fault'], [$game->value, $game->detail]);
        $this->assertSame(7.0, Score::clearTargets(7, 3)->value);
        $this->assertSame([5.0, 9.0], [ScoreKind::ClearTargets->best([7.0, 5.0, 9.0]), ScoreKind::InARow->best([7.0, 5.0, 9.0])]);
        foreach ([fn () => Score::targetRound([], 5), fn () => Score::clearTargets(2, 3), fn () => Score::serveGame([])] as $impossible) {
            try {
                $impossible();
                $this->fail('Such a score cannot be.');
            } catch (InvalidValue $error) {
                $this->assertNotSame('', $error->getMessage());
            }
        }
    }

    public function test_the_radius_that_holds_a_share_is_a_quantile_of_the_radial_error(): void
    {
        // Radii 1 to 5 m. R: quantile(1:5, c(0, .5, .8, .9, 1)) gives 1, 3, 4.2, 4.6, 5.
        $points = [[3.0, 0.0], [0.0, 1.0], [-2.0, 0.0], [0.0, -5.0], [4.0, 0.0]];
        foreach ([[0.0, 1.0], [0.5, 3.0], [0.8, 4.2], [0.9, 4.6], [1.0, 5.0]] as [$share, $radius]) {
            $this->assertEqualsWithDelta($radius, Grouping::radiusHolding($points, $share), 1e-12);
        }
        $this->assertSame(2.0, Grouping::radiusHolding([[0.0, 2.0]], 0.9));
    }
}
