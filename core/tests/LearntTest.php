<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\DailySeries;
use Augendo\Core\Planning\Heeded;
use Augendo\Core\Planning\Learnt;
use Augendo\Core\Planning\SuggestionKind;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use PHPUnit\Framework\TestCase;

/** What the record says about a plan, and when it says nothing. */
final class LearntTest extends TestCase
{
    public function test_mornings_that_were_sore_after_much_work_suggest_a_bound(): void
    {
        $mornings = [
            ...array_fill(0, 17, [40.0, false]), ...array_fill(0, 2, [40.0, true]), ...array_fill(0, 5, [68.0, true]),
            ...array_fill(0, 2, [72.0, false]),
        ];
        shuffle($mornings);
        $said = Learnt::soreMornings($mornings);
        $this->assertNotNull($said);
        $this->assertSame(SuggestionKind::Units, $said->kind);
        $this->assertSame([7, 5, 19, 2], [$said->above, $said->aboveBad, $said->below, $said->belowBad]);
        $this->assertSame(54.0, $said->bound);
        $this->assertSame(50.0, $said->value, 'a round number below the bound');
        $this->assertGreaterThan(0.0, $said->low);
    }

    public function test_a_day_counts_by_the_morning_after_it_where_somebody_asked(): void
    {
        $on = Day::of('2027-03-10');
        $worked = new DailySeries([$on->ordinal => 40.0, $on->ordinal + 2 => 20.0, $on->ordinal + 4 => 30.0], null);
        $report = fn (
            int $after, Site $site, ?string $side, int $score, Moment $moment = Moment::Morning,
        ): SorenessReport => new SorenessReport(
            Instant::of("{$on->plus($after)->iso()}T07:30:00+01:00"), $moment, $site, $side, Kind::Muscle, $score,
        );
        $reports = [
            $report(1, Site::None, null, 0), $report(1, Site::Shoulder, 'right', 4),
            $report(3, Site::Shoulder, 'left', 6), $report(4, Site::Elbow, 'right', 5),
            $report(5, Site::Elbow, 'right', 2), $report(5, Site::Elbow, 'right', 7, Moment::During),
        ];
        $this->assertSame(
            [[40.0, true], [20.0, false], [30.0, false]],
            Learnt::mornings($worked, $reports, Channel::Arm, 'right'),
            'sore; the other arm; calm in the morning. Nobody worked on the day before the fourth',
        );
        $this->assertSame([[40.0, false], [20.0, true], [30.0, false]], Learnt::mornings($worked, $reports, Channel::Arm, 'left'));
        $knee = [$report(1, Site::Knee, 'left', 5)];
        $this->assertSame([[40.0, true]], Learnt::mornings($worked, $knee, Channel::Landing, 'right'), 'the legs carry both sides');
        $this->assertSame([], Learnt::mornings($worked, [], Channel::Arm, 'right'));
    }

    public function test_few_mornings_say_that_they_are_too_few_and_calm_ones_say_nothing(): void
    {
        $few = Learnt::soreMornings([...array_fill(0, 10, [40.0, false]), ...array_fill(0, 4, [70.0, true])]);
        $this->assertNotNull($few);
        $this->assertNull($few->value);
        $this->assertSame([14, 4], [$few->above, $few->aboveBad]);
        $this->assertNull(Learnt::soreMornings(array_fill(0, 60, [50.0, false])));
        $this->assertNull(Learnt::soreMornings([]));
    }

    public function test_soreness_that_comes_as_often_after_little_as_after_much_suggests_nothing(): void
    {
        $mornings = [];
        for ($i = 0; $i < 60; $i++) {
            $mornings[] = [20.0 + $i, $i % 5 === 0];
        }
        $this->assertNull(Learnt::soreMornings($mornings));
    }

    /** Chance alone, drawn a thousand times: as good as never taken for a rule. */
    public function test_chance_is_seldom_taken_for_a_rule(): void
    {
        mt_srand(11);
        $told = 0;
        for ($i = 0; $i < 1000; $i++) {
            $mornings = [];
            for ($day = 0; $day < 40; $day++) {
                $mornings[] = [(float) mt_rand(10, 90), mt_rand(1, 100) <= 20];
            }
            $told += Learnt::soreMornings($mornings) === null ? 0 : 1;
        }
        $this->assertLessThan(60, $told, 'of a thousand');
    }

    public function test_quality_that_falls_after_so_many_repetitions_suggests_as_many(): void
    {
        $session = [...array_fill(0, 20, true), ...array_fill(0, 4, false), true, false, false, false, true, false];
        $said = Learnt::fading([$session, $session, $session]);
        $this->assertNotNull($said);
        $this->assertSame([SuggestionKind::Reps, 20.0], [$said->kind, $said->value]);
        $this->assertSame([30, 24, 60, 0], [$said->above, $said->aboveBad, $said->below, $said->belowBad]);
        $this->assertNull(Learnt::fading([$session]), 'one session is too few');
        $this->assertNull(Learnt::fading(array_fill(0, 5, array_fill(0, 40, true))));
        $this->assertNull(Learnt::fading([]));
        foreach ([9, 10, 11, 12, 15] as $reps) {
            $this->assertNull(Learnt::fading(array_fill(0, 9, array_fill(0, $reps, true))), 'short sessions');
        }
    }

    public function test_efforts_that_were_higher_than_asked_suggest_asking_for_less(): void
    {
        $said = Learnt::harderThanAsked(array_fill(0, 12, [0.5, 0.73]));
        $this->assertNotNull($said);
        $this->assertSame(SuggestionKind::Effort, $said->kind);
        $this->assertEqualsWithDelta(0.2, $said->value, 1e-9, 'by steps of five points, never more than the difference');
        $this->assertSame([12, 12], [$said->above, $said->aboveBad]);
        $this->assertNull(Learnt::harderThanAsked(array_fill(0, 12, [0.5, 0.52])), 'less than a step');
        $this->assertNull(Learnt::harderThanAsked(array_fill(0, 7, [0.5, 0.9])), 'too few');
        $this->assertNull(Learnt::harderThanAsked(array_fill(0, 12, [0.7, 0.5])));
    }

    public function test_what_is_taken_lies_within_sense(): void
    {
        foreach ([[0.0, null, 0.0], [null, 0, 0.0], [null, null, -0.1], [null, null, 0.6]] as [$units, $reps, $less]) {
            try {
                new Heeded($units, $reps, $less);
                $this->fail('refused');
            } catch (InvalidValue $wrong) {
                $this->assertNotSame('', $wrong->getMessage());
            }
        }
    }
}
