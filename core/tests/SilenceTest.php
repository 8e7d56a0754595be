<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Planning\Silence;
use PHPUnit\Framework\TestCase;

/** What nobody has said of a week. */
final class SilenceTest extends TestCase
{
    public function test_the_last_week_that_is_over_is_asked_for_on_every_day_of_the_next(): void
    {
        foreach (range(0, 6) as $day) {
            $this->assertSame('2027-05-17', Silence::weekAsked(Day::of('2027-05-24')->plus($day))->iso());
        }
        $this->assertSame('2027-05-24', Silence::weekAsked(Day::of('2027-05-31'))->iso());
    }

    public function test_nothing_counts_as_expected_while_its_week_is_still_asked_for(): void
    {
        foreach (range(0, 6) as $day) {
            $today = Day::of('2027-05-24')->plus($day);
            $this->assertFalse(Silence::countsAsExpected(Silence::weekAsked($today), $today));
        }
        $this->assertFalse(Silence::countsAsExpected(Day::of('2027-05-10'), Day::of('2027-05-24')));
        $this->assertTrue(Silence::countsAsExpected(Day::of('2027-05-10'), Day::of('2027-05-25')));
    }
}
