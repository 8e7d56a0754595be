<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Gates\Gate;
use Augendo\Core\Planning\LearningRate;
use PHPUnit\Framework\TestCase;

final class LearningRateTest extends TestCase
{
    public function test_with_nothing_on_record_a_rung_takes_half_as_much_again_as_its_gate_asks(): void
    {
        $rate = LearningRate::of([], []);
        $this->assertEqualsWithDelta([1.0, 1.5, 1.5 * exp(1.2816 * 0.35)], [$rate->early, $rate->likely, $rate->late], 1e-9);
        $this->assertSame([0, 0], [$rate->ownRungs, $rate->squadRungs]);
    }

    /** Worked by hand: precision 1/0.35² of the prior and 1/0.5² of each rung. */
    public function test_few_rungs_move_it_little_and_many_outweigh_the_squad(): void
    {
        $prior = 1 / 0.35 ** 2;
        foreach ([1, 4, 20] as $rungs) {
            $seen = $rungs / 0.5 ** 2;
            $mean = ($prior * log(1.5) + $seen * log(3.0)) / ($prior + $seen);
            $rate = LearningRate::of(array_fill(0, $rungs, 3.0), []);
            $this->assertEqualsWithDelta(exp($mean), $rate->likely, 1e-9, "{$rungs} rungs");
            $this->assertEqualsWithDelta(exp($mean + 1.2816 / sqrt($prior + $seen)), $rate->late, 1e-9);
            $this->assertSame($rungs, $rate->ownRungs);
        }
        $squad = LearningRate::of([], array_fill(0, 30, 3.0));
        $this->assertEqualsWithDelta(exp((3 * log(1.5) + 30 * log(3.0)) / 33), $squad->likely, 1e-9);
        $this->assertSame(30, $squad->squadRungs);
    }

    public function test_nobody_climbs_by_less_than_the_gate_asks(): void
    {
        $rate = LearningRate::of(array_fill(0, 50, 0.2), []);
        $this->assertSame(1.0, $rate->early);
        $this->assertLessThan(1.1, $rate->likely);
        $gate = new Gate(minReps: 12, minSessions: 2);
        $this->assertSame(2, LearningRate::sessions($gate, 1.0, 24));
        $this->assertSame(3, LearningRate::sessions($gate, 1.5, 24));
        $this->assertSame(4, LearningRate::sessions($gate, 1.51, 24));
        $this->assertSame(6, LearningRate::sessions($gate, 1.0, 2), 'two judged repetitions a session take six to make twelve');
        $this->assertSame(12, LearningRate::sessions($gate, 1.0, 0));
    }
}
