<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Planning\CountedMatches;
use PHPUnit\Framework\TestCase;

final class CountedMatchesTest extends TestCase
{
    public function test_of_two_matches_a_day_only_those_that_were_counted_are(): void
    {
        $this->assertSame([], CountedMatches::of(['a', 'b'], []));
        $this->assertSame(['b'], CountedMatches::of(['a', 'b'], ['fixture b']));
        $this->assertSame(['a', 'b'], CountedMatches::of(['a', 'b'], ['fixture b', 'fixture a']));
        $this->assertSame(['a'], CountedMatches::of(['a', 'b'], ['match 1', 'match 2']), 'two skills of one, nobody said of which');
        $this->assertSame(['a', 'b'], CountedMatches::of(['a', 'b'], ['fixture a', 'match 1']));
        $this->assertSame(['a'], CountedMatches::of(['a'], ['fixture gone', 'fixture a']), 'one that was taken off the calendar');
    }
}
