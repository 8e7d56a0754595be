<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\Surface;
use Augendo\Core\Load\WorkSet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What one set costs, worked by hand. */
final class SetCostTest extends TestCase
{
    private const THROW = ['family' => Family::Throw, 'landings' => 1.0];

    private const SERVE = ['family' => Family::Serve, 'landings' => 0.0];

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, EffortCurve, float}> */
    public static function weights(): iterable
    {
        $perceived = EffortCurve::Perceived;
        yield 'half is far more than half' => [self::SERVE, ['effort' => 0.5], $perceived, 0.70];
        yield 'between knots' => [self::SERVE, ['effort' => 0.625], $perceived, 0.78];
        yield 'nothing is nothing' => [self::SERVE, ['effort' => 0.0], $perceived, 0.0];
        yield 'linear is as felt' => [self::SERVE, ['effort' => 0.4], EffortCurve::Linear, 0.4];
        yield 'unknown effort is the worst' => [self::SERVE, ['effort' => null], $perceived, 1.0];
        yield 'the distance is a floor for throws' => [self::THROW, ['effort' => 0.25, 'distanceM' => 36.0], $perceived, 0.9];
        yield 'a far easy throw cannot cost more than all' => [self::THROW, ['effort' => 0.25, 'distanceM' => 90.0], $perceived, 1.0];
        yield 'a distance says nothing of a serve' => [self::SERVE, ['effort' => 0.25, 'distanceM' => 36.0], $perceived, 0.45];
        yield 'a measured speed raises' => [self::SERVE, ['effort' => 0.25, 'speedMs' => 18.0], EffortCurve::Speed, 0.81];
        yield 'a measured speed never excuses' => [self::SERVE, ['effort' => 0.75, 'speedMs' => 4.0], EffortCurve::Speed, 0.86];
        yield 'a speed alone counts at least half' => [self::SERVE, ['effort' => null, 'speedMs' => 10.0], EffortCurve::Speed, 0.5];
        yield 'a speed is not looked at by the felt curve' => [self::SERVE, ['effort' => 0.25, 'speedMs' => 20.0], $perceived, 0.45];
    }

    /**
     * @param  array<string, mixed>  $skill
     * @param  array<string, mixed>  $set
     */
    #[DataProvider('weights')]
    public function test_the_weight_of_a_repetition(array $skill, array $set, EffortCurve $curve, float $weight): void
    {
        $this->assertEqualsWithDelta($weight, (new SetCost(self::athlete(), $curve))->weight(self::set($skill, $set)), 1e-12);
    }

    public function test_objects_scale_stress_and_a_shadow_repetition_is_counted_apart(): void
    {
        $arm = fn (array $set): float => self::cost(self::SERVE, ['effort' => 1.0, ...$set])['arm'];
        $this->assertEqualsWithDelta(5.0, $arm(['implement' => Implement::Standard]), 1e-12);
        $this->assertEqualsWithDelta(6.25, $arm(['implement' => Implement::Heavy]), 1e-12);
        $this->assertEqualsWithDelta(
            5 * sqrt(0.7 / 0.8),
            $arm(['implement' => Implement::Heavy, 'massKg' => 0.7, 'referenceMassKg' => 0.8]),
            1e-12,
        );
        $this->assertEqualsWithDelta(7.5, $arm(['massKg' => 4.0, 'referenceMassKg' => 1.0]), 1e-12, 'held at one and a half');
        $this->assertEqualsWithDelta(2.5, $arm(['massKg' => 0.01, 'referenceMassKg' => 1.0]), 1e-12, 'held at a half');

        $shadow = self::cost(self::SERVE, ['effort' => 1.0, 'implement' => Implement::Shadow, 'distanceM' => 20.0]);
        $this->assertSame(
            [0.0, 5.0, 0.0, 0.0, 1.25],
            [$shadow['reps'], $shadow['shadow'], $shadow['high_reps'], $shadow['metres'], $shadow['arm']],
        );
    }

    public function test_any_sign_of_hard_makes_a_repetition_high_effort(): void
    {
        $high = fn (array $skill, array $set): float => self::cost($skill, $set)['high_reps'];
        $this->assertSame(0.0, $high(self::SERVE, ['effort' => 0.84]));
        $this->assertSame(5.0, $high(self::SERVE, ['effort' => 0.85]));
        $this->assertSame(5.0, $high(self::SERVE, ['effort' => null]));
        $this->assertSame(5.0, $high(self::SERVE, ['effort' => 0.3, 'speedMs' => 18.0]));
        $this->assertSame(5.0, $high(self::THROW, ['effort' => 0.3, 'distanceM' => 34.0]));
        $this->assertSame(0.0, $high(self::SERVE, ['effort' => 0.3, 'distanceM' => 39.0]));
    }

    public function test_landings_pay_for_floor_legs_and_height(): void
    {
        $landings = fn (array $set): float => self::cost(self::THROW, ['effort' => 0.1, ...$set])['landings'];
        $this->assertEqualsWithDelta(6.25, $landings([]), 1e-12, 'an unknown floor is the hardest');
        $this->assertEqualsWithDelta(4.0, $landings(['surface' => Surface::Soft]), 1e-12);
        $this->assertEqualsWithDelta(5 * 1.5 * 2.0, $landings(['surface' => Surface::Firm, 'legs' => 1, 'dropCm' => 90.0]), 1e-12);
        $this->assertEqualsWithDelta(2.5, $landings(['surface' => Surface::Firm, 'dropCm' => 5.0]), 1e-12);
    }

    public function test_nonsense_is_refused_with_what_would_be_right(): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage('0 is the least');
        self::set(self::SERVE, ['effort' => 0.5, 'reps' => -1]);
    }

    private static function athlete(): AthleteProfile
    {
        return new AthleteProfile(null, ['skill' => 40.0], ['skill' => 20.0]);
    }

    /**
     * @param  array<string, mixed>  $skill
     * @param  array<string, mixed>  $set
     * @return array<string, float>
     */
    private static function cost(array $skill, array $set): array
    {
        return (new SetCost(self::athlete()))->of(self::set($skill, $set))->cost;
    }

    /**
     * @param  array<string, mixed>  $skill
     * @param  array<string, mixed>  $set
     */
    private static function set(array $skill, array $set): WorkSet
    {
        return new WorkSet(...[
            'day' => Day::of('2027-03-01'), 'session' => 's',
            'skill' => new Skill('skill', $skill['family'], $skill['landings'], 1.0, 0.5, 0.5),
            'reps' => 5, 'implement' => Implement::Standard, 'side' => Side::Dominant, ...$set,
        ]);
    }
}
