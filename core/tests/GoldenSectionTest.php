<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Flight\GoldenSection;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\ThrowReach;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Searching a lowest place, and what a share of the longest throw asks for. */
final class GoldenSectionTest extends TestCase
{
    public function test_the_lowest_place_is_found_wherever_it_lies_also_at_an_end(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 100; $i++) {
            $place = mt_rand(-50, 150) / 100;
            $steep = mt_rand(1, 40);
            [$at, $value] = GoldenSection::lowest(fn (float $x): float => $steep * ($x - $place) ** 2 + 3.0, 0.0, 1.0, 1e-6);
            $nearest = max(0.0, min(1.0, $place));
            $this->assertEqualsWithDelta($nearest, $at, 2e-4, "lowest at {$place}");
            $this->assertEqualsWithDelta($steep * ($nearest - $place) ** 2 + 3.0, $value, 2e-2);
        }
    }

    public function test_each_place_is_looked_at_once(): void
    {
        $looked = [];
        GoldenSection::lowest(function (float $x) use (&$looked): float {
            $looked[] = $x;

            return abs($x - 0.3);
        }, 0.0, 1.0, 1e-3);
        $this->assertSame(count($looked), count(array_unique(array_map(fn (float $x): string => sprintf('%.9f', $x), $looked))));
        // The bracket shrinks by the same share with each look: two to begin with, and one for each step.
        $this->assertCount(2 + (int) ceil(log(1e-3) / log(0.618033988749895)), $looked);
    }

    #[TestWith([0.5, 0.3, null])]
    #[TestWith([1.0, 1.0, null])]
    #[TestWith([0.5, 0.9, 'That is no easy throw: 90 % of the longest asks for at least'])]
    public function test_an_effort_that_does_not_reach_a_share_of_the_longest_is_refused(float $effort, float $share, ?string $why): void
    {
        $said = ThrowReach::refusesShare($effort, $share);
        $why === null ? $this->assertNull($said) : $this->assertStringStartsWith($why, (string) $said);
    }

    public function test_what_is_refused_and_what_reaches_are_one_rule(): void
    {
        for ($percent = 5; $percent <= 100; $percent += 5) {
            $effort = $percent / 100;
            $longest = 40.0;
            $furthest = ThrowReach::furthestM($effort, $longest);
            $this->assertTrue(ThrowReach::reaches($effort, $furthest, $longest), "{$percent} % reaches what it is said to reach");
            $this->assertFalse(ThrowReach::reaches($effort, $furthest + 1.0, $longest), "and no metre more, at {$percent} %");
            if ($furthest > ThrowReach::LEAST_M) {
                $this->assertNull(ThrowReach::refusesShare($effort, $furthest / $longest));
                $this->assertLessThanOrEqual($effort + 1e-9, ThrowReach::leastEffort($furthest, $longest));
            }
            // An effort is said in steps of five: one whole step short of what is asked is refused.
            $share = EffortCurve::Perceived->stressShare(min(1.0, $effort + 0.05));
            $effort >= 0.95 || $this->assertNotNull(ThrowReach::refusesShare($effort, $share), "{$percent} %");
        }
    }
}
