<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Flight\ServeAllowed;
use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Readiness\Word;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rung, way back, word and age come before any advice on a serve; what is not known is the strictest known case. */
final class ServeAllowedTest extends TestCase
{
    /** @return array<string, array{bool, bool, Word, string|null}> */
    public static function standings(): array
    {
        return [
            'on a full day' => [false, false, Word::Full, null],
            'not checked in' => [false, false, Word::Unknown, null],
            'on a reduced day' => [false, false, Word::Reduced, null],
            'too sore' => [false, false, Word::None, 'word'],
            'referred' => [false, false, Word::Refer, 'word'],
            'where the result does not count' => [false, true, Word::Full, 'rung'],
            'where it does not count, and too sore' => [false, true, Word::Refer, 'rung'],
            'on a way back' => [true, false, Word::Full, 'return'],
            'on a way back, whatever else' => [true, true, Word::Refer, 'return'],
        ];
    }

    #[DataProvider('standings')]
    public function test_whether_anything_is_advised(bool $returning, bool $ignored, Word $word, ?string $why): void
    {
        $allowed = new ServeAllowed($returning, $ignored, $word, 20);
        $this->assertSame($why, $allowed->refusesAdvice());
        $this->assertSame($why, $allowed->refuses(new ServeChange(0.9, 0.0, 0.0, 0.5, null), 0.0), 'less pace and another aim alone');
    }

    /** @return array<string, array{Word, int|null, float, bool, bool}> */
    public static function athletes(): array
    {
        return [
            'grown, learnt' => [Word::Full, 30, 600.0, true, true],
            'grown, without spin so far' => [Word::Full, 30, 299.0, false, true],
            'thirteen' => [Word::Full, 13, 300.0, true, true],
            'twelve' => [Word::Full, 12, 600.0, false, true],
            'of no known age' => [Word::Full, null, 600.0, false, true],
            'reduced' => [Word::Reduced, 30, 600.0, false, false],
            'not checked in' => [Word::Unknown, 30, 600.0, false, false],
        ];
    }

    #[DataProvider('athletes')]
    public function test_more_spin_and_a_higher_contact_are_for_who_may(
        Word $word, ?int $age, float $topspinRpm, bool $moreSpin, bool $mayReach,
    ): void {
        $allowed = new ServeAllowed(false, false, $word, $age);
        $this->assertSame([$moreSpin, $mayReach], [$allowed->moreSpin($topspinRpm), $allowed->higher()]);
        $this->assertSame($moreSpin ? null : 'spin', $allowed->refuses(new ServeChange(1.0, 200.0, 0.0, 0.0, null), $topspinRpm));
        $this->assertSame($mayReach ? null : 'height', $allowed->refuses(new ServeChange(1.0, 0.0, 0.1, 0.0, null), $topspinRpm));
        $both = match (true) {
            ! $moreSpin => 'spin',
            ! $mayReach => 'height',
            default => null,
        };
        $this->assertSame($both, $allowed->refuses(new ServeChange(1.0, 200.0, 0.1, 0.0, null), $topspinRpm));
    }
}
