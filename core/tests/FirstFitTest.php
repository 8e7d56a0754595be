<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\FirstFit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\Side;
use PHPUnit\Framework\TestCase;

final class FirstFitTest extends TestCase
{
    private const WEEK_CAP = 400.0;

    private const DAY_CAP = 150.0;

    /** The windows are added up here day by day, without the engine; record before the first day, plans from it on. */
    public function test_the_first_day_is_the_one_plain_addition_finds(): void
    {
        mt_srand(11);
        $from = Day::of('2027-05-10');
        $limits = [$this->cap('day', Severity::Hard, 1, self::DAY_CAP), $this->cap('week', Severity::Hard, 7, self::WEEK_CAP)];
        $later = 0;
        for ($case = 0; $case < 200; $case++) {
            $armByDay = [];
            for ($day = $from->ordinal - 10; $day < $from->ordinal + 20; $day++) {
                mt_rand(0, 2) && $armByDay[$day] = (float) mt_rand(10, 90);
            }
            $dose = (float) mt_rand(20, 160);
            $expected = null;
            for ($day = $from->ordinal; $expected === null && $day < $from->ordinal + FirstFit::DAYS_AHEAD; $day++) {
                $week = array_sum(array_filter($armByDay, fn (int $on): bool => $on > $day - 7 && $on <= $day, ARRAY_FILTER_USE_KEY));
                if (($armByDay[$day] ?? 0.0) + $dose <= self::DAY_CAP && $week + $dose <= self::WEEK_CAP) {
                    $expected = $day;
                }
            }
            $found = $this->firstFit($from, $dose, $armByDay, $limits);
            $this->assertSame($expected, $found?->ordinal, "case {$case}, {$dose} units");
            $later += (int) ($expected > $from->ordinal);
        }
        $this->assertGreaterThan(50, $later, 'the cases are ones in which waiting is needed');
    }

    public function test_five_weeks_are_looked_at_and_no_day_more(): void
    {
        $from = Day::of('2027-05-10');
        $full = fn (int $days): array => array_combine(
            range($from->ordinal, $from->ordinal + $days - 1), array_fill(0, $days, self::DAY_CAP),
        );
        $limits = [$this->cap('day', Severity::Hard, 1, self::DAY_CAP)];
        $this->assertSame($from->ordinal + 34, $this->firstFit($from, 1.0, $full(34), $limits)?->ordinal);
        $this->assertNull($this->firstFit($from, 1.0, $full(35), $limits));
    }

    public function test_only_hard_limits_on_the_same_sets_and_at_that_age_make_anybody_wait(): void
    {
        $from = Day::of('2027-05-10');
        $full = [$from->ordinal => self::DAY_CAP];
        $birthday = Day::of('2011-05-12');
        $this->assertNull(
            $this->firstFit($from, self::DAY_CAP + 1, [], [$this->cap('day', Severity::Hard, 1, self::DAY_CAP)]),
            'more than a day ever holds',
        );
        foreach ([
            'advice' => $this->cap('a', Severity::Advise, 1, self::DAY_CAP),
            'jumps only' => $this->cap('a', Severity::Hard, 1, self::DAY_CAP, new LimitFilter(families: [Family::Jump])),
            'grown-ups only' => $this->cap('a', Severity::Hard, 1, self::DAY_CAP, ages: [18, 99]),
        ] as $why => $limit) {
            $this->assertSame('2027-05-10', $this->firstFit($from, 20.0, $full, [$limit], $birthday)?->iso(), $why);
        }
        $under16 = $this->cap('under-16', Severity::Hard, 7, self::DAY_CAP, ages: [0, 15]);
        $this->assertSame('2027-05-12', $this->firstFit($from, 20.0, $full, [$under16], $birthday)?->iso(), 'the day of turning sixteen');
        $this->assertSame(
            '2027-05-17',
            $this->firstFit($from, 20.0, $full, [$under16])?->iso(),
            'an unknown age counts as under the limit, until the week has passed',
        );
    }

    /**
     * @param  array<int, float>  $armByDay  before the first day the record, from it on the plans
     * @param  list<Limit>  $limits
     */
    private function firstFit(Day $from, float $dose, array $armByDay, array $limits, ?Day $birthDate = null): ?Day
    {
        $record = $plans = [];
        foreach ($armByDay as $day => $arm) {
            $day < $from->ordinal ? $record[] = $this->set($day, $arm) : $plans[] = $this->set($day, $arm);
        }

        return FirstFit::day(
            $from,
            fn (Day $on): CostedSet => $this->set($on->ordinal, $dose),
            fn (Day $on): CostedSet => $this->set($on->ordinal, 1.0),
            new LoadRecord($record),
            $plans,
            new LimitCalendar($limits, new AthleteProfile($birthDate)),
        );
    }

    private function set(int $day, float $arm): CostedSet
    {
        return new CostedSet(
            $day,
            "s{$day}",
            'float-serve',
            Family::Serve,
            Side::Dominant,
            Implement::Standard,
            [...array_fill_keys(array_column(Measure::cases(), 'value'), 0.0), Measure::Arm->value => $arm],
            1.0,
            null,
        );
    }

    /** @param  array{int, int}|null  $ages */
    private function cap(
        string $id, Severity $severity, int $days, float $max, LimitFilter $filter = new LimitFilter,
        ?array $ages = null,
    ): CapLimit {
        return new CapLimit(new LimitTerms($id, $id, 'test', $severity, $ages, $filter), Measure::Arm, $days, $max);
    }
}
