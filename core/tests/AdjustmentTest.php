<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Limits\Adjustment;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\DoneReturn;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Limits\StepLimit;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\WorkSet;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The weeks after a return, and how fast somebody grows, day by day at their edges. */
final class AdjustmentTest extends TestCase
{
    private const DONE = '2027-05-03';

    private function cap(float $max, int $days = 7, ?Side $side = Side::Dominant): CapLimit
    {
        $filter = new LimitFilter(sides: $side === null ? null : [$side]);

        return new CapLimit(new LimitTerms('cap', 'Cap', 'test', Severity::Hard, null, $filter), Measure::Arm, $days, $max);
    }

    /** So many arm units, one a throw, so many days after the return was done. */
    private function work(int $daysAfter, int $units, Side $side = Side::Dominant): CostedSet
    {
        return (new SetCost(new AthleteProfile(null)))->of(new WorkSet(
            Day::of(self::DONE)->plus($daysAfter), 's', new Skill('throw', Family::Throw, 0.0, 1.0, 0.0, 0.0), $units, 1.0,
            Implement::Standard, side: $side,
        ));
    }

    /**
     * @param  list<CostedSet>  $work
     * @param  list<Limit>|null  $limits
     */
    private function after(int $days, array $work, ?array $limits = null, float $usualWeek = 1000.0, Side $side = Side::Dominant): ?CapLimit
    {
        $done = new DoneReturn(Channel::Arm, Day::of(self::DONE), $usualWeek, $side);

        return Adjustment::afterReturn($limits ?? [$this->cap(100.0)], $done, new LoadRecord($work), Day::of(self::DONE)->plus($days));
    }

    public function test_each_of_the_first_three_weeks_allows_a_tenth_more_of_the_weekly_cap(): void
    {
        foreach ([0 => 70.0, 6 => 70.0, 7 => 80.0, 13 => 80.0, 14 => 90.0, 20 => 90.0] as $days => $max) {
            $limit = $this->after($days, []);
            $this->assertEqualsWithDelta($max, $limit?->max, 1e-9, "day {$days}");
            $this->assertSame('Week '.(intdiv($days, 7) + 1).' after the return', $limit?->label);
            $this->assertSame([7, true, 'after-return-arm'], [$limit?->windowDays, $limit?->isHard(), $limit?->id]);
        }
        $this->assertNull($this->after(21, []), 'then the step from week to week holds it');
        $this->assertNull($this->after(-1, []));
        $least = [$this->cap(100.0), $this->cap(50.0), $this->cap(9.0, days: 6)];
        $this->assertEqualsWithDelta(35.0, $this->after(0, [], $least)?->max, 1e-9);
    }

    /** @param  list<array{int, int}>  $work  days after, units */
    #[TestWith([0, [[-7, 10], [-1, 20]], 36.0])]
    #[TestWith([0, [[-8, 10]], 12.0])]
    #[TestWith([0, [[-8, 10], [-1, 20]], 24.0])]
    #[TestWith([0, [[0, 50]], 70.0])]
    #[TestWith([7, [[0, 20], [6, 10]], 36.0])]
    #[TestWith([7, [[0, 20], [6, 10], [7, 50]], 36.0])]
    #[TestWith([0, [[-56, 10]], 12.0])]
    #[TestWith([0, [[-57, 10]], 70.0])]
    #[TestWith([30, [[25, 10]], 12.0])]
    public function test_it_grows_by_a_fifth_over_the_last_week_that_had_work(int $days, array $work, float $max): void
    {
        $sets = array_map(fn (array $each): CostedSet => $this->work(...$each), $work);
        $this->assertEqualsWithDelta($max, $this->after($days, $sets)?->max, 1e-9);
        $other = array_map(fn (array $each): CostedSet => $this->work($each[0], $each[1], Side::Other), $work);
        $share = $days < 21 ? 70.0 + 10 * intdiv($days, 7) : null;
        $this->assertEqualsWithDelta($share, $this->after($days, $other)?->max, 1e-9, 'the other arm');
        $mirrored = $this->after($days, $other, [$this->cap(100.0, side: Side::Other)], side: Side::Other);
        $this->assertEqualsWithDelta($max, $mirrored?->max, 1e-9);
    }

    public function test_it_ends_when_the_month_comes_to_eight_tenths_of_the_usual_week(): void
    {
        $ends = fn (int $daysAgo, int $units, float $usual = 10.0, ?array $limits = null): bool => $this->after(
            10, [$this->work(10 - $daysAgo, $units)], $limits, $usual,
        ) === null;
        $this->assertTrue($ends(27, 32));
        $this->assertTrue($ends(0, 32));
        $this->assertFalse($ends(28, 32), 'out of the four weeks');
        $this->assertFalse($ends(27, 31));
        $this->assertFalse($ends(27, 100000, 0.0), 'nobody knows the usual week, and nothing stands for it');
        $step = new StepLimit(new LimitTerms('step', 'Step', 'test', Severity::Hard), Measure::Arm, 0.15, 10.0);
        $this->assertTrue($ends(27, 32, 0.0, [$this->cap(100.0), $step]), 'the floor of the step stands for it');
        $this->assertFalse($ends(27, 31, 0.0, [$this->cap(100.0), $step]));
        $this->assertTrue($ends(27, 1, 0.3, [$this->cap(100.0), $step]), 'a usual week below a unit is one all the same');
    }

    /**
     * @param  list<array{int, float, bool}>  $heights  days ago, cm, doubted
     * @param  float|null  $cm  grown between the two that count
     */
    #[TestWith([[[0, 150.0, false]], null, 1])]
    #[TestWith([[[28, 148.0, false], [0, 150.0, false]], 2.0, 28])]
    #[TestWith([[[27, 148.0, false], [0, 150.0, false]], null, 1])]
    #[TestWith([[[60, 140.0, false], [40, 148.0, false], [0, 150.0, false]], 2.0, 40])]
    #[TestWith([[[40, 148.0, false], [10, 149.0, false], [0, 150.0, false]], 2.0, 40])]
    #[TestWith([[[40, 148.0, false], [40, 147.0, false], [0, 150.0, false]], 3.0, 40])]
    #[TestWith([[[40, 148.0, false], [0, 150.0, false], [-3, 190.0, false]], 2.0, 40])]
    #[TestWith([[[40, 148.0, false], [0, 150.0, true]], null, 1])]
    #[TestWith([[[80, 146.0, false], [40, 148.0, false], [0, 155.0, true]], 7.0, 40])]
    #[TestWith([[[80, 144.0, false], [40, 148.0, false], [0, 149.0, true]], 4.0, 40])]
    public function test_growth_is_between_the_latest_heights_and_the_nearest_four_weeks_before(array $heights, ?float $cm, int $days): void
    {
        $on = Day::of('2027-05-20');
        $known = array_map(fn (array $each): array => [$on->plus(-$each[0]), $each[1], $each[2]], $heights);
        $growth = Adjustment::growthCmAMonth($known, $on);
        $this->assertEqualsWithDelta($cm === null ? null : $cm / $days * 30.4375, $growth, 1e-9);
        $this->assertSame($cm === null, $growth === null);
    }
}
