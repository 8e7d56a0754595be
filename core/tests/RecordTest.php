<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\HonestEffort;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\UsualWeek;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Load\YearRound;
use PHPUnit\Framework\TestCase;

/** What a record is asked for, against looking through every set of it. */
final class RecordTest extends TestCase
{
    private const ON = '2027-05-20';

    private Day $on;

    protected function setUp(): void
    {
        $this->on = Day::of(self::ON);
    }

    private function set(int $daysAgo, int $reps = 10, Side $side = Side::Dominant, Implement $implement = Implement::Standard): CostedSet
    {
        return (new SetCost(new AthleteProfile(null)))->of(new WorkSet(
            $this->on->plus(-$daysAgo), "day {$daysAgo}", new Skill('throw', Family::Throw, 0.0, 1.0, 0.0, 0.5), $reps, 0.8, $implement,
            side: $side,
        ));
    }

    public function test_idle_days_are_those_since_the_last_day_that_holds_enough(): void
    {
        mt_srand(11);
        for ($run = 0; $run < 300; $run++) {
            $sets = [];
            for ($i = mt_rand(0, 6); $i > 0; $i--) {
                $sets[] = $this->set(
                    mt_rand(-2, 12), mt_rand(1, 12), mt_rand(0, 2) === 0 ? Side::Other : Side::Dominant,
                    mt_rand(0, 3) === 0 ? Implement::Shadow : Implement::Standard,
                );
            }
            $record = new LoadRecord($sets);
            foreach ([null, Side::Dominant, Side::Other] as $side) {
                foreach ([[0.1, true], [3.0, true], [3.0, false]] as [$atLeast, $withShadow]) {
                    $byDay = [];
                    foreach ($sets as $set) {
                        $counts = ($side === null || $set->side === $side) && ($withShadow || $set->implement !== Implement::Shadow);
                        if ($counts && $set->day < $this->on->ordinal) {
                            $byDay[$set->day] = ($byDay[$set->day] ?? 0.0) + $set->cost['arm'];
                        }
                    }
                    $enough = array_keys(array_filter($byDay, fn (float $arm): bool => $arm >= $atLeast));
                    $idle = $enough === [] ? null : $this->on->ordinal - 1 - max($enough);
                    $this->assertSame($idle, $record->idleDays($this->on, Channel::Arm, $side, $atLeast, $withShadow), "run {$run}");
                    foreach ([1, 3, 7, 12] as $days) {
                        $this->assertSame(
                            $idle === null || $idle >= $days,
                            $record->isIdleFor($days, $this->on, Channel::Arm, $side, $atLeast, $withShadow), "run {$run}, {$days} days",
                        );
                    }
                }
            }
        }
    }

    public function test_exactly_enough_ends_an_idle_time(): void
    {
        $arm = $this->set(3)->cost['arm'];
        $idle = fn (float $atLeast): ?int => (new LoadRecord([$this->set(3)]))->idleDays($this->on, Channel::Arm, null, $atLeast, true);
        $this->assertSame([2, null], [$idle($arm), $idle($arm + 1e-6)]);
        $this->assertNull((new LoadRecord([]))->idleDays($this->on, Channel::Arm, null, 1.0, true));
    }

    public function test_a_declared_week_ends_an_idle_time_however_thin_it_is_spread(): void
    {
        $declared = fn (array $cost): CostedSet => new CostedSet(
            day: $this->on->ordinal - 4, session: 'declared', skill: 'throw', family: Family::Throw, side: Side::Dominant,
            implement: Implement::Standard, cost: $cost + array_map(fn (): float => 0.0, $this->set(1)->cost), effort: 0.5, distanceM: null,
        );
        $idle = fn (CostedSet $set): ?int => (new LoadRecord([$set]))->idleDays($this->on, Channel::Arm, Side::Dominant, 50.0, false);
        $this->assertSame(3, $idle($declared(['arm' => 0.2])));
        $this->assertNull($idle($declared(['arm' => 0.2, 'reps' => 1.0])), 'a single throw is no week');
        $this->assertNull($idle($declared(['arm' => 0.2, 'shadow' => 1.0])));
        $this->assertNull($idle($declared(['trunk' => 9.0])), 'another part');
    }

    public function test_the_evening_before_a_day_knows_nothing_of_it(): void
    {
        $record = new LoadRecord(
            [$this->set(5), $this->set(2), $this->set(0)], [$this->on->ordinal - 2 => 300.0, $this->on->ordinal => 200.0],
        );
        $sums = fn (LoadRecord $of): array => [
            $of->wholeSeries(Measure::Reps)->sum($this->on->ordinal - 9, $this->on->ordinal + 9), $of->firstDay(),
        ];
        $first = $this->on->ordinal - 5;
        $this->assertSame([30.0, $first], $sums($record));
        $this->assertSame([20.0, $first], $sums($record->before($this->on)));
        $this->assertSame([30.0, $first], $sums($record->before($this->on->plus(1))));
        $this->assertSame([10.0, $first], $sums($record->before($this->on->plus(-2))));
        $this->assertSame([0.0, null], $sums($record->before($this->on->plus(-5))), 'nothing has begun');
        $this->assertSame([0.0, null], $sums((new LoadRecord([]))->before($this->on)));
        $begun = $this->on->ordinal - 40;
        $this->assertSame([10.0, $begun], $sums((new LoadRecord([$this->set(3)], [], $begun))->before($this->on)));
        $internal = fn (LoadRecord $of): float => $of->wholeSeries(Measure::Internal)->sum($this->on->ordinal - 9, $this->on->ordinal);
        $this->assertSame([500.0, 300.0], [$internal($record), $internal($record->before($this->on))]);
    }

    public function test_more_sets_are_added_to_what_is_summed_already(): void
    {
        $record = new LoadRecord([$this->set(5), $this->set(2)]);
        $sum = fn (LoadRecord $of): float => $of->wholeSeries(Measure::Reps)->sum($this->on->ordinal - 30, $this->on->ordinal);
        $this->assertSame(20.0, $sum($record));
        $more = $record->with([$this->set(2, 3), $this->set(1, 4)]);
        $this->assertSame([27.0, 20.0], [$sum($more), $sum($record)], 'the record itself stays as it was');
        $this->assertSame($record, $record->with([]));
        $earlier = $record->with([$this->set(9, 5), $this->set(1, 1)]);
        $this->assertSame([26.0, $this->on->ordinal - 9], [$sum($earlier), $earlier->firstDay()]);
        $this->assertSame([$this->on->ordinal - 5, 1], [$more->firstDay(), count($more->setsOn($this->on->ordinal - 1))]);
        $this->assertSame(3.0, (new LoadRecord([]))->with([$this->set(1, 3)])->wholeSeries(Measure::Reps)->on($this->on->ordinal - 1));
    }

    public function test_a_year_is_what_its_days_say(): void
    {
        mt_srand(5);
        for ($run = 0; $run < 60; $run++) {
            $known = mt_rand(1, 420);
            $days = [];
            for ($back = 0; $back < $known; $back++) {
                if (mt_rand(0, 29) < ($run % 3) * 12 + 1) {
                    $days[$this->on->ordinal - $back] = mt_rand(1, 3) / 4;
                }
            }
            $year = YearRound::of(new DailySeries($days, $this->on->ordinal - $known + 1), $this->on);
            $worked = '';
            for ($back = min(365, $known) - 1; $back >= 0; $back--) {
                $worked .= isset($days[$this->on->ordinal - $back]) ? 'x' : ' ';
            }
            $this->assertSame(min(365, $known), $year->daysKnown);
            $this->assertSame(max(array_map(strlen(...), explode('x', $worked))), $year->longestOffDays, "run {$run}");
            $months = array_unique(array_map(
                fn (int $day): int => intdiv($this->on->ordinal - $day, 30),
                array_filter(array_keys($days), fn (int $day): bool => $this->on->ordinal - $day < 360),
            ));
            $this->assertSame(count($months), $year->monthsWorked, "run {$run}");
        }
    }

    public function test_the_usual_week_is_a_quarter_of_the_best_four_weeks_that_ended_within_six(): void
    {
        mt_srand(9);
        for ($run = 0; $run < 40; $run++) {
            $byDay = [];
            for ($back = 0; $back < 90; $back++) {
                $byDay[$this->on->ordinal - $back] = (float) mt_rand(0, 20) * ($back > 60 ? 3 : 1);
            }
            $best = 0.0;
            for ($end = 0; $end <= 42; $end++) {
                $sum = 0.0;
                for ($i = 0; $i < 28; $i++) {
                    $sum += $byDay[$this->on->ordinal - $end - $i];
                }
                $best = max($best, $sum / 4);
            }
            $series = new DailySeries($byDay, $this->on->ordinal - 89);
            $this->assertEqualsWithDelta($best, UsualWeek::read($series, $this->on->ordinal), 1e-9);
        }
        $this->assertSame(0.5, UsualWeek::untilSure(50.0, [0.5]), 'the least is something');
        $this->assertSame(0.5, UsualWeek::untilSure(0.5, [50.0]));
    }

    public function test_the_middle_of_an_even_number_is_between_the_two(): void
    {
        $sets = array_map(fn (int $i): array => [0.2, 0.2 + $i / 100], [7, 1, 4, 2, 8, 30, 3, 6]);
        $this->assertEqualsWithDelta(0.05, HonestEffort::of($sets)?->difference, 1e-12, 'between 4 and 6');
        $this->assertEqualsWithDelta(0.06, HonestEffort::of([...$sets, [0.2, 0.29]])?->difference, 1e-12);
        $honest = HonestEffort::of($sets);
        $this->assertSame([true, true], [$honest?->low >= 0.02, $honest?->high <= 0.08], 'one that lies far off moves it little');
    }

    public function test_a_jump_is_done_with_the_body_and_all_else_with_the_usual_ball(): void
    {
        $skill = fn (Family $family): Skill => new Skill('s', $family, 0.0, 1.0, 0.0, 0.0);
        foreach (Family::cases() as $family) {
            $usual = $family === Family::Jump ? Implement::Body : Implement::Standard;
            $this->assertSame($usual, $skill($family)->ordinaryImplement());
        }
        $this->assertSame([Channel::Arm], $skill(Family::Throw)->loadedChannels());
        $this->assertSame(
            [Channel::Arm, Channel::Hand, Channel::Trunk, Channel::Landing],
            array_values(array_filter(Channel::cases(), fn (Channel $each): bool => in_array(
                $each, (new Skill('s', Family::Jump, 0.1, 0.1, 0.1, 0.1))->loadedChannels(), true,
            ))),
        );
    }
}
