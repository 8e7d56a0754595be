<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\Marks;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What measurements come to: of two that differ the safer one counts, until somebody says which is right. */
final class MarksTest extends TestCase
{
    private const ON = '2027-05-20';

    /** @return array{Day, float, bool} */
    private function mark(int $daysAgo, float $value, bool $doubted = false): array
    {
        return [Day::of(self::ON)->plus(-$daysAgo), $value, $doubted];
    }

    /** @param  array{Day, float, bool}  ...$marks */
    private function longest(array ...$marks): ?array
    {
        return Marks::longestThrowM(array_values($marks), Day::of(self::ON), null);
    }

    public function test_the_longest_throw_counts_and_a_doubted_one_only_where_it_is_shorter(): void
    {
        $this->assertNull($this->longest());
        $this->assertSame([41.0, false], $this->longest($this->mark(9, 38.0), $this->mark(30, 41.0), $this->mark(2, 36.0)));
        $this->assertSame([41.0, false], $this->longest($this->mark(9, 41.0), $this->mark(3, 60.0, true)), 'not until it is sure');
        $this->assertSame([20.0, false], $this->longest($this->mark(9, 41.0), $this->mark(3, 20.0, true)), 'at once');
        $this->assertSame([60.0, false], $this->longest($this->mark(3, 60.0, true)), 'nothing else is known');
    }

    public function test_a_throw_holds_for_two_hundred_days_and_one_of_tomorrow_not_at_all(): void
    {
        $this->assertSame([41.0, false], $this->longest($this->mark(200, 41.0)));
        $this->assertSame([41.0, true], $this->longest($this->mark(201, 41.0)), 'lapsed: every throw is full until one is measured');
        $this->assertSame([30.0, false], $this->longest($this->mark(201, 41.0), $this->mark(1, 30.0)), 'a fresh one wins over an old');
        $this->assertNull($this->longest($this->mark(-1, 41.0)));
        $this->assertSame([41.0, false], $this->longest($this->mark(0, 41.0)));
    }

    public function test_what_was_thrown_with_a_shorter_body_has_lapsed(): void
    {
        $since = fn (int $daysAgo): ?array => Marks::longestThrowM(
            [$this->mark(60, 41.0)], Day::of(self::ON), Day::of(self::ON)->plus(-$daysAgo),
        );
        $this->assertSame([41.0, false], $since(61));
        $this->assertSame([41.0, false], $since(60), 'measured on that very day');
        $this->assertSame([41.0, true], $since(59));
    }

    public function test_of_reference_speeds_the_latest_counts_or_a_lower_one_that_is_doubted(): void
    {
        $speed = fn (array ...$marks): ?float => Marks::referenceSpeedMs(array_values($marks), Day::of(self::ON));
        $this->assertNull($speed());
        $this->assertSame(18.0, $speed($this->mark(60, 21.0), $this->mark(5, 18.0)), 'the latest, not the fastest');
        $this->assertSame(18.0, $speed($this->mark(60, 18.0), $this->mark(5, 30.0, true)));
        $this->assertSame(9.0, $speed($this->mark(60, 18.0), $this->mark(5, 9.0, true)));
        $this->assertSame(9.0, $speed($this->mark(5, 9.0, true)));
        $this->assertSame(18.0, $speed($this->mark(60, 18.0), $this->mark(-2, 25.0)));
    }

    /** @param  list<float>  $others */
    #[TestWith([23.9, [40.0, 30.0], true])]
    #[TestWith([24.0, [40.0, 30.0], false])]
    #[TestWith([50.0, [30.0, 40.0], false])]
    #[TestWith([50.1, [30.0, 40.0], true])]
    #[TestWith([500.0, [], false])]
    public function test_less_than_three_fifths_or_more_than_five_quarters_of_the_best_is_asked_about(
        float $value, array $others, bool $isAsked,
    ): void {
        $this->assertSame($isAsked, Marks::isFarOff($value, $others));
    }

    /** A height may differ by 2 cm, and by 1.8 cm a month more where there was time to grow. */
    #[TestWith([0, 152.0, false])]
    #[TestWith([0, 152.1, true])]
    #[TestWith([0, 148.0, false])]
    #[TestWith([0, 147.9, true])]
    #[TestWith([61, 155.6, false])]
    #[TestWith([61, 155.7, true])]
    #[TestWith([61, 147.9, true])]
    #[TestWith([-61, 144.4, false])]
    #[TestWith([-61, 144.3, true])]
    #[TestWith([-61, 152.1, true])]
    public function test_a_height_is_asked_about_when_nobody_grows_that_fast(int $daysLater, float $cm, bool $isAsked): void
    {
        $known = Day::of(self::ON);
        $this->assertSame($isAsked, Marks::isHeightFarOff($known->plus($daysLater), $cm, [[$known, 150.0]]));
        $this->assertFalse(Marks::isHeightFarOff($known, $cm, []));
        $this->assertTrue(Marks::isHeightFarOff($known->plus($daysLater), $cm, [[$known->plus($daysLater), $cm], [$known, 120.0]]));
    }

    public function test_how_hard_it_felt_stands_for_an_effort(): void
    {
        $this->assertSame([0.4, 0.65, 0.95], array_map(fn (Felt $felt): float => $felt->effort(), Felt::cases()));
    }
}
