<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Gates\GateDecision;
use Augendo\Core\Mechanics\SharedFault;
use PHPUnit\Framework\TestCase;

final class SharedFaultTest extends TestCase
{
    public function test_the_fault_most_had_at_least_twice_is_shared_and_of_two_the_one_seen_more_often(): void
    {
        $shared = SharedFault::of([
            'a' => ['elbow low' => 2, 'falls away' => 9],
            'b' => ['elbow low' => 5],
            'c' => ['elbow low' => 1, 'toss behind' => 4],
            'd' => ['toss behind' => 3],
        ]);
        // Two have each; together “elbow low” and “toss behind” were seen seven times: the first stays.
        $this->assertSame(['elbow low', ['b', 'a'], 7], [$shared?->fault, $shared?->who, $shared?->times]);
        $more = SharedFault::of(['a' => ['x' => 2, 'y' => 3], 'b' => ['x' => 2, 'y' => 3]]);
        $this->assertSame('y', $more?->fault);
        $three = SharedFault::of(['a' => ['x' => 2, 'y' => 9], 'b' => ['x' => 2, 'y' => 9], 'c' => ['x' => 2]]);
        $this->assertSame(['x', 6], [$three?->fault, $three?->times]);
    }

    public function test_one_athlete_or_once_each_is_no_pattern_of_a_squad(): void
    {
        $this->assertNull(SharedFault::of([]));
        $this->assertNull(SharedFault::of(['a' => ['x' => 9]]));
        $this->assertNull(SharedFault::of(['a' => ['x' => 1], 'b' => ['x' => 1], 'c' => ['x' => 9]]));
    }

    public function test_only_what_stays_on_the_rung_may_be_decided_for_several_at_once(): void
    {
        $stays = array_filter(GateDecision::cases(), fn (GateDecision $each): bool => $each->staysOnTheRung());
        $this->assertSame(['repeat', 'hold', 'collect'], array_values(array_map(fn (GateDecision $each): string => $each->value, $stays)));
    }
}
