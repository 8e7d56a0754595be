<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\RestLimit;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Limits\StepLimit;
use Augendo\Core\Limits\StreakLimit;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\Side;
use PHPUnit\Framework\TestCase;

final class LimitCalendarTest extends TestCase
{
    public function test_a_match_day_is_not_paced_by_the_days_before_and_asks_for_one_rest_day_more(): void
    {
        $match = Day::of('2027-05-15');
        $terms = fn (string $id, string $label): LimitTerms => new LimitTerms(
            $id, $label, 'test', Severity::Hard, null, new LimitFilter,
        );
        $calendar = fn (array $matches): LimitCalendar => new LimitCalendar([
            new RestLimit($terms('rest', 'Rest'), Measure::HighReps, [[30.0, 1], [60.0, 2]]),
            new StreakLimit($terms('streak', 'Days running'), Measure::HighReps, 2, 10.0),
        ], new AthleteProfile(null), $matches);
        $hardOver = fn (array $matches, Day $on, LoadRecord $record): array => array_map(
            fn ($state): string => $state->limit->id,
            $calendar($matches)->board($on, $record)->hardTouchedBy([$this->high($on, 1)])->over([$this->high($on, 20)]),
        );

        $tired = new LoadRecord([$this->high($match->plus(-2), 20), $this->high($match->plus(-1), 40)]);
        $this->assertSame(['rest', 'streak'], $hardOver([], $match, $tired));
        $this->assertSame([], $hardOver([$match->ordinal], $match, $tired), 'both only advise on the day of the match');

        foreach ([[20, 0, 1], [40, 1, 2], [70, 2, 3]] as [$reps, $without, $with]) {
            foreach ([[[], $without], [[$match->ordinal], $with]] as [$matches, $restDays]) {
                $record = new LoadRecord([$this->high($match, $reps)]);
                $free = null;
                for ($after = 1; $free === null; $after++) {
                    $free = in_array('rest', $hardOver($matches, $match->plus($after), $record), true) ? null : $after;
                }
                $this->assertSame($restDays + 1, $free, "{$reps} high-effort reps, ".($matches === [] ? 'training' : 'a match'));
            }
        }
        $this->assertSame(6, $calendar([])->reachDays(), 'never less than a week');
    }

    public function test_a_record_with_more_in_it_is_the_record_summed_anew(): void
    {
        mt_srand(5);
        $filter = new LimitFilter(families: [Family::Serve]);
        for ($case = 0; $case < 200; $case++) {
            $sets = array_map(
                fn (): CostedSet => $this->high(
                    Day::of('2027-05-01')->plus(mt_rand(0, 20)),
                    mt_rand(0, 30),
                    mt_rand(0, 1) ? Family::Serve : Family::Jump,
                ),
                range(1, mt_rand(2, 30)),
            );
            $cut = mt_rand(0, count($sets));
            $grown = new LoadRecord(array_slice($sets, 0, $cut));
            $grown->series(Measure::HighReps, $filter->key(), $filter->fits(...));
            $grown->wholeSeries(Measure::Arm)->weightedAverages(Day::of('2027-05-10')->ordinal);
            foreach (array_slice($sets, $cut) as $set) {
                $grown = $grown->with([$set]);
            }
            $anew = new LoadRecord($sets);
            $on = Day::of('2027-05-22');
            $this->assertEqualsWithDelta(
                $anew->series(Measure::HighReps, $filter->key(), $filter->fits(...))->sum($on->ordinal - 30, $on->ordinal),
                $grown->series(Measure::HighReps, $filter->key(), $filter->fits(...))->sum($on->ordinal - 30, $on->ordinal),
                1e-9,
            );
            $this->assertEqualsWithDelta(
                $anew->wholeSeries(Measure::Arm)->weightedAverages($on->ordinal),
                $grown->wholeSeries(Measure::Arm)->weightedAverages($on->ordinal),
                1e-9,
            );
            $this->assertSame($anew->firstDay(), $grown->firstDay());
            $this->assertSame(
                $anew->idleDays($on, Channel::Arm, Side::Dominant, 5.0, false),
                $grown->idleDays($on, Channel::Arm, Side::Dominant, 5.0, false),
            );
        }
    }

    private function high(Day $day, int $reps, Family $family = Family::Serve): CostedSet
    {
        return new CostedSet($day->ordinal, "s{$day->ordinal}", 'float-serve', $family, Side::Dominant, Implement::Standard, [
            ...array_fill_keys(Measure::ofSets(), 0.0), 'reps' => (float) $reps, 'high_reps' => (float) $reps, 'arm' => 0.7 * $reps,
        ], 1.0, null);
    }

    public function test_the_line_a_week_is_drawn_under_is_the_hard_step_of_the_own_arm_at_that_age(): void
    {
        $step = fn (string $id, array $terms = [], Measure $measure = Measure::Arm): StepLimit => new StepLimit(
            (new LimitTerms($id, $id, 'test', Severity::Hard))->with($terms), $measure, 0.15, 200.0,
        );
        $line = fn (Limit ...$limits): ?string => (new LimitCalendar(
            array_values($limits), new AthleteProfile(Day::of('2012-01-01')), returning: false,
        ))->armStep(Day::of('2027-05-20'), new LoadRecord([]))?->baseId();
        $other = ['filter' => new LimitFilter(sides: [Side::Other])];
        $this->assertNull($line());
        $this->assertNull($line(
            $step('landings', [], Measure::Landings), $step('advice', ['severity' => Severity::Advise]), $step('other', $other),
            $step('grown', ['ages' => [19, 99]]), new CapLimit(new LimitTerms('cap', 'Cap', 'test', Severity::Hard), Measure::Arm, 7, 9.0),
        ));
        $this->assertSame('own', $line($step('other', $other), $step('own', ['ages' => [15, 15]]), $step('later')));
    }

    public function test_work_reaches_as_many_days_ahead_as_the_longest_hard_limit_and_a_week_at_least(): void
    {
        $terms = fn (Severity $severity): LimitTerms => new LimitTerms('l', 'L', 'test', $severity);
        $cap = fn (int $days, Severity $severity = Severity::Hard): CapLimit => new CapLimit($terms($severity), Measure::Arm, $days, 9.0);
        $reach = fn (Limit ...$limits): ?int => (new LimitCalendar(array_values($limits), new AthleteProfile(null)))->reachDays();
        $this->assertSame(6, $reach());
        $this->assertSame(6, $reach($cap(1), $cap(7)));
        $this->assertSame(7, $reach($cap(1), $cap(8), $cap(2)));
        $this->assertSame(6, $reach($cap(28, Severity::Advise)), 'what is advised reaches nowhere');
        $step = new StepLimit($terms(Severity::Hard), Measure::Arm, 0.15, 200.0);
        $this->assertSame($step->reachDays() === null ? null : max(6, $step->reachDays()), $reach($step));
    }
}
