<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DayTest extends TestCase
{
    public function test_days_are_counted_over_months_leap_years_and_before_1970(): void
    {
        $this->assertSame('2028-03-01', Day::of('2028-02-28')->plus(2)->iso());
        $this->assertSame('2027-03-01', Day::of('2027-02-28')->plus(1)->iso());
        $this->assertSame(366, Day::of('2029-01-01')->daysSince(Day::of('2028-01-01')));
        $this->assertSame('1969-12-31', Day::of('1970-01-01')->plus(-1)->iso());
        $this->assertSame('1948-02-29', Day::of('1948-02-29')->iso());
        for ($ordinal = -9000; $ordinal < 25000; $ordinal += 97) {
            $this->assertSame($ordinal, Day::of(Day::fromOrdinal($ordinal)->iso())->ordinal);
        }
    }

    public function test_a_birthday_on_29_february_is_1_march_in_common_years(): void
    {
        $born = Day::of('2012-02-29');
        $this->assertSame([14, 15], [Day::of('2027-02-28')->ageOf($born), Day::of('2027-03-01')->ageOf($born)]);
        $this->assertSame([15, 16], [Day::of('2028-02-28')->ageOf($born), Day::of('2028-02-29')->ageOf($born)]);
        $this->assertSame(
            [11, 12],
            [Day::of('2027-05-09')->ageOf(Day::of('2015-05-10')), Day::of('2027-05-10')->ageOf(Day::of('2015-05-10'))],
        );
        $this->assertSame(0, Day::of('2027-05-10')->ageOf(Day::of('2027-05-10')));
    }

    public function test_one_moment_is_the_same_whatever_offset_it_is_written_with(): void
    {
        $noon = Instant::of('2027-05-20T12:00:00Z')->microseconds;
        $written = ['2027-05-20T17:30:00+05:30', '2027-05-20T17:30:00+0530', '2027-05-20T08:15:00-03:45', '2027-05-21T02:00+14:00'];
        foreach ($written as $same) {
            $this->assertSame($noon, Instant::of($same)->microseconds, $same);
        }
        $this->assertSame($noon + 3_723_000_000 + 50_000, Instant::of('2027-05-20T13:02:03.05Z')->microseconds);
        $this->assertSame($noon + 1, Instant::of('2027-05-20T12:00:00,0000019Z')->microseconds, 'what is finer is cut off');
        $this->assertTrue(Instant::of('2027-05-20T12:00:00.000001Z')->isAfter(Instant::of('2027-05-20T13:00:00+01:00')));
        $this->assertFalse(Instant::of('2027-05-20T12:00:00Z')->isAfter(Instant::of('2027-05-20T13:00:00+01:00')));
    }

    /** @return iterable<string, array{string}> */
    public static function notDays(): iterable
    {
        foreach (
            [
                '2027-02-29', '2027-13-01', '2027-1-1', '27-01-01', '2027-01-01T00:00', ' 2027-01-01', "2027-01-01\n",
                '', 'today', '2027-00-10',
            ] as $text
        ) {
            yield "“{$text}”" => [$text];
        }
    }

    #[DataProvider('notDays')]
    public function test_what_is_no_day_is_refused(string $text): void
    {
        $this->expectException(InvalidValue::class);
        Day::of($text);
    }

    public function test_the_day_of_a_time_is_the_date_as_written_and_moments_compare_across_offsets(): void
    {
        $late = Instant::of('2027-05-20T23:30:00-05:00');
        $early = Instant::of('2027-05-21T04:29:59.999Z');
        $this->assertSame(['2027-05-20', '2027-05-21'], [$late->day->iso(), $early->day->iso()]);
        $this->assertTrue($late->isAfter($early));
        $this->assertSame(Instant::of('2027-05-20T12:00:00+02:00')->microseconds, Instant::of('2027-05-20T10:00:00Z')->microseconds);
        $this->assertSame(
            500_000,
            Instant::of('2027-05-20T10:00:00,5+00:00')->microseconds - Instant::of('2027-05-20T10:00+0000')->microseconds,
        );
        foreach (
            [
                '2027-05-20T10:00:00', '2027-05-20 10:00:00Z', '2027-05-20T24:00:00Z', '2027-05-20T10:60:00Z',
                '2027-02-30T10:00:00Z', '2027-05-20T10:00:00+2',
            ] as $text
        ) {
            try {
                Instant::of($text);
                $this->fail("{$text} was taken.");
            } catch (InvalidValue $error) {
                $this->assertStringContainsString('“', $error->getMessage());
            }
        }
    }
}
