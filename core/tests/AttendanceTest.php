<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Planning\Attendance;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class AttendanceTest extends TestCase
{
    #[TestWith(['finished', false, 0, 60, 60, Attendance::Came])]
    #[TestWith(['finished', false, 0, 51, 60, Attendance::Came])]
    #[TestWith(['finished', false, 0, 50, 60, Attendance::LeftEarly])]
    #[TestWith(['finished', false, 10, 50, 60, Attendance::LeftEarly])]
    #[TestWith(['finished', false, 10, null, 60, Attendance::Late])]
    #[TestWith(['running', true, 0, null, null, Attendance::Came])]
    #[TestWith(['planned', true, 0, null, 60, Attendance::NotThere])]
    #[TestWith(['planned', false, 5, null, 60, Attendance::NotCounted])]
    #[TestWith(['called_off', true, 0, null, 60, Attendance::Away])]
    public function test_what_was_counted_stands_over_what_was_marked(
        string $state, bool $absent, int $late, ?int $minutes, ?int $longest, Attendance $is,
    ): void {
        $this->assertSame($is, Attendance::of($state, $absent, $late, $minutes, $longest));
    }

    public function test_of_two_sheets_of_a_session_the_one_that_says_more(): void
    {
        $this->assertSame(Attendance::Came, Attendance::Away->over(Attendance::Came));
        $this->assertSame(Attendance::Came, Attendance::Came->over(Attendance::Away));
        $this->assertSame(Attendance::NotThere, Attendance::NotThere->over(null));
        $this->assertSame(
            [[true, true, true, false, false, false], [true, true, true, true, false, true]],
            [
                array_map(fn (Attendance $each): bool => $each->wasThere(), Attendance::cases()),
                array_map(fn (Attendance $each): bool => $each->wasExpected(), Attendance::cases()),
            ],
        );
    }
}
