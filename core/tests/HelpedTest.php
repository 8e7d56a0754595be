<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Mechanics\WhatHelped;
use PHPUnit\Framework\TestCase;

/** Repetitions with a cue against those without it. */
final class HelpedTest extends TestCase
{
    /**
     * @param  list<string>  $tried
     * @return list<array{bool, list<string>}> so many of them good
     */
    private function reps(int $good, int $n, array $tried): array
    {
        return array_map(fn (int $i): array => [$i < $good, $tried], range(0, $n - 1));
    }

    public function test_with_nothing_on_one_side_there_is_nothing_to_say(): void
    {
        $this->assertNull(WhatHelped::of([], 'cue'));
        $this->assertNull(WhatHelped::of($this->reps(9, 9, ['cue']), 'cue'));
        $this->assertNull(WhatHelped::of($this->reps(9, 9, []), 'cue'));
    }

    /**
     * 56 of 70 against 48 of 80 is the example (a) of R. G. Newcombe, Statistics in Medicine 17 (1998), 873–890, method 10:
     * the 95 % interval is 0.0524 to 0.3339. The 90 % interval here lies inside it.
     */
    public function test_the_interval_of_the_difference_is_newcombes(): void
    {
        $helped = WhatHelped::of([...$this->reps(56, 70, ['cue', 'stance']), ...$this->reps(48, 80, ['stance'])], 'cue');
        $this->assertNotNull($helped);
        $this->assertSame([56, 70, 48, 80], [$helped->good, $helped->n, $helped->otherGood, $helped->otherN]);
        $this->assertEqualsWithDelta(0.2, $helped->difference, 1e-12);
        $this->assertGreaterThan(0.0524, $helped->low);
        $this->assertLessThan(0.3339, $helped->high);
        $this->assertSame('better', $helped->says);
    }

    public function test_worse_is_said_as_plainly_and_a_few_repetitions_say_nothing(): void
    {
        $this->assertSame('worse', WhatHelped::of([...$this->reps(48, 80, ['cue']), ...$this->reps(56, 70, [])], 'cue')?->says);
        $this->assertSame('too few to tell', WhatHelped::of([...$this->reps(4, 5, ['cue']), ...$this->reps(3, 5, [])], 'cue')?->says);
        $alike = WhatHelped::of([...$this->reps(40, 50, ['cue']), ...$this->reps(40, 50, [])], 'cue');
        $this->assertSame('too few to tell', $alike?->says);
        $this->assertEqualsWithDelta(0.0, $alike->low + $alike->high, 1e-12, 'as far to one side as to the other');
    }
}
