<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\LevelLimit;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\Replay;
use Augendo\Core\Limits\RestLimit;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\Side;
use PHPUnit\Framework\TestCase;

final class ReplayTest extends TestCase
{
    public function test_each_day_is_held_against_the_days_before_it_alone(): void
    {
        $on = Day::of('2027-05-10');
        $filter = new LimitFilter;
        $limits = new LimitCalendar([
            new CapLimit(new LimitTerms('week', 'Week', 'test', Severity::Hard, null, $filter), Measure::Arm, 7, 100.0),
            new CapLimit(new LimitTerms('advice', 'Advice', 'test', Severity::Advise, null, $filter), Measure::Arm, 1, 1.0),
            new CapLimit(new LimitTerms('session', 'Session', 'test', Severity::Hard, null, $filter), Measure::Arm, null, 1.0),
            new LevelLimit(new LimitTerms('level', 'Level', 'test', Severity::Hard, null, $filter), 'effort', 0.1),
            new RestLimit(new LimitTerms('rest', 'Rest', 'test', Severity::Hard, null, $filter), Measure::Arm, [[60.0, 2]]),
        ], new AthleteProfile(null));
        $record = new LoadRecord(
            array_map(
                fn (array $each): CostedSet => $this->set($on->plus($each[0]), $each[1]),
                [[-9, 90.0], [-6, 30.0], [-5, 40.0], [-3, 35.0], [-2, 70.0], [-1, 5.0], [0, 5.0]],
            ),
        );
        $said = array_map(
            fn (array $day): array => [$day[0]->daysSince($on), array_map(fn (LimitState $state): string => $state->limit->id, $day[1])],
            Replay::over($limits, $record, $on->plus(-9), $on->plus(-1)),
        );
        // -6: 120 in seven days; -5: 160; -3: 90+30+40+35 within -9…-3; -2: without -9; -1: rest after 70, and 180 in the week.
        $this->assertSame([[-6, ['week']], [-5, ['week']], [-3, ['week']], [-2, ['week']], [-1, ['week', 'rest']]], $said);
        $this->assertSame([], Replay::over($limits, $record, $on->plus(-9), $on->plus(-9)), 'the first day alone is within');
    }

    private function set(Day $day, float $arm): CostedSet
    {
        return new CostedSet(
            $day->ordinal,
            "s{$day->ordinal}",
            'float-serve',
            Family::Serve,
            Side::Dominant,
            Implement::Standard,
            [...array_fill_keys(Measure::ofSets(), 0.0), 'arm' => $arm],
            1.0,
            null,
        );
    }
}
