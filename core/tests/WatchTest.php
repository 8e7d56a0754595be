<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\Watch;
use PHPUnit\Framework\TestCase;

final class WatchTest extends TestCase
{
    public function test_chances_are_those_of_the_beta_binomial(): void
    {
        // A uniform prior alone: every count is as likely.
        foreach (Watch::chances(4, 1, 1) as $chance) {
            $this->assertEqualsWithDelta(0.2, $chance, 1e-12);
        }
        // Beta(2, 3), two more, by hand: B(2,5)/B(2,3) = 2/5, 2·B(3,4)/B(2,3) = 2/5, B(4,3)/B(2,3) = 1/5.
        $this->assertEqualsWithDelta([2 / 5, 2 / 5, 1 / 5], Watch::chances(2, 2, 3), 1e-12);
        mt_srand(3);
        for ($i = 0; $i < 50; $i++) {
            [$k, $a, $b] = [mt_rand(1, 20), mt_rand(1, 30), mt_rand(1, 30)];
            $chances = Watch::chances($k, $a, $b);
            $this->assertEqualsWithDelta(1.0, array_sum($chances), 1e-9);
            $this->assertEqualsWithDelta(
                $k * $a / ($a + $b),
                array_sum(array_map(fn (int $j, float $chance): float => $j * $chance, array_keys($chances), $chances)),
                1e-9,
            );
        }
    }

    public function test_a_look_decides_most_where_the_evidence_stands_on_the_edge(): void
    {
        $gate = new Gate;
        $opens = fn (int $observed, int $good): float => Watch::of($gate, $observed, $good)->opens;
        $this->assertSame(0.0, $opens(0, 0), 'six are too few for twelve');
        $this->assertGreaterThan(0.9, $opens(30, 30));
        $this->assertLessThan(0.01, $opens(30, 10));
        $this->assertGreaterThan($opens(12, 8), $opens(12, 10));
        $this->assertGreaterThan(0.5, Watch::of($gate, 20, 4)->stepsBack);
        $this->assertSame(0.0, Watch::of($gate, 30, 30)->stepsBack);
    }
}
