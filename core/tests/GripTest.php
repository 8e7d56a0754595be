<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Mechanics\Grip;
use PHPUnit\Framework\TestCase;

final class GripTest extends TestCase
{
    public function test_what_changed_is_told_by_part_and_two_at_once_are_too_much(): void
    {
        $first = new Grip('Two across the seam', 'middle finger', 'under the ball');
        $this->assertSame([], $first->changedFrom($first));
        $this->assertSame([], (new Grip('two across the seam.', 'Middle finger ', 'Under the  ball'))->changedFrom($first));
        $one = (new Grip('Two across the seam', 'index finger', 'under the ball'))->changedFrom($first);
        $this->assertSame(['pressure'], $one);
        $this->assertFalse(Grip::isTooMuchAtOnce($one));
        $two = (new Grip('Two along the seam', 'index finger', 'under the ball'))->changedFrom($first);
        $this->assertSame(['fingers', 'pressure'], $two);
        $this->assertTrue(Grip::isTooMuchAtOnce($two));
    }
}
