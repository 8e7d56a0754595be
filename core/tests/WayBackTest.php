<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Adjustment;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\DoneReturn;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\RestLimit;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Limits\StepLimit;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\Side;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Returning\Attempt;
use Augendo\Core\Returning\AttemptReading;
use Augendo\Core\Returning\StageClearance;
use Augendo\Core\Returning\StageRung;
use Augendo\Core\Returning\StageWork;
use PHPUnit\Framework\TestCase;

final class WayBackTest extends TestCase
{
    private const LIBRARY = __DIR__.'/../../library';

    public function test_the_shipped_programmes_keep_their_promises(): void
    {
        $library = new Library(self::LIBRARY);
        $this->assertCount(4, $library->programmeIds());
        foreach ($library->programmeIds() as $id) {
            $stages = $library->programme($id)->stages;
            $this->assertTrue($stages[0]->needsClearance, "{$id}: nobody starts without a clearance");
            $full = array_values(array_filter($stages, fn ($stage): bool => $stage->effort >= 1.0));
            $this->assertTrue($full[0]->needsClearance, "{$id}: nor goes to full effort");
            foreach ($stages as $i => $stage) {
                $this->assertLessThanOrEqual(
                    0.25 + 1e-9,
                    $stage->effort - ($stages[$i - 1]->effort ?? $stage->effort),
                    "{$id}, {$stage->name}",
                );
                $this->assertGreaterThanOrEqual($stage->effort >= 0.9 && $i > 0 ? 2 : 1, $stage->minGapDays);
            }
        }
        $serves = $library->programme('serves-effort-first')->stages;
        $this->assertSame([0.5, 0.6, 0.75, 0.9, 1.0], array_map(fn ($stage): float => $stage->effort, array_slice($serves, 3, 5)));
        $this->assertSame(
            [0.25, 0.4, 0.55, 0.7, 0.85, 1.0],
            array_map(
                fn ($stage): ?float => $stage->distanceShare,
                array_slice($library->programme('throws-distance-first')->stages, 0, 6),
            ),
        );
    }

    public function test_the_days_word_and_the_accepted_day_decide_what_is_trained(): void
    {
        $programme = (new Library(self::LIBRARY))->programme('serves-effort-first');
        $on = Day::of('2027-05-20');
        $attempt = fn (string $day, int $stage, ?int $morning = 0, int $during = 0): Attempt => new Attempt(
            Day::of($day), $stage, true, $during, false, $morning, false,
        );
        $work = fn (
            int $stage, array $attempts, Word $word = Word::Full, ?string $accepted = null,
            array $clearances = [[null]],
        ): StageWork => StageWork::on(
            $on, $programme, $stage, $attempts,
            array_map(fn (array $c): StageClearance => new StageClearance(Day::of('2027-05-01'), $c[0]), $clearances),
            $accepted === null ? null : Day::of($accepted), $word,
        );
        $this->assertSame(['clear', null], [($w = $work(0, [], clearances: []))->why, $w->stage]);
        $this->assertSame(['work', 0], [($w = $work(0, []))->why, $w->stage]);
        $this->assertSame(['wait', null], [($w = $work(2, [$attempt('2027-05-19', 2, null)]))->why, $w->stage]);
        $this->assertSame(['not_before', null], [($w = $work(2, [$attempt('2027-05-19', 2)]))->why, $w->stage]);
        $this->assertSame(['work', 2], [($w = $work(2, [$attempt('2027-05-18', 2)]))->why, $w->stage]);
        $this->assertSame(
            ['work', 1],
            [($w = $work(2, [$attempt('2027-05-18', 2)], Word::Reduced))->why, $w->stage],
            'Reduced: the stage before, unscaled.',
        );
        $this->assertSame(['word', null], [($w = $work(2, [$attempt('2027-05-18', 2)], Word::None))->why, $w->stage]);
        $this->assertSame(['work', 1], [($w = $work(2, [$attempt('2027-05-16', 2, 4)]))->why, $w->stage], 'Going back waits for nobody.');
        $this->assertSame(
            ['work', 2],
            [($w = $work(2, [$attempt('2027-05-15', 2), $attempt('2027-05-17', 2)]))->why, $w->stage],
            'Going on waits for the coach.',
        );
        $this->assertSame(
            ['not_before', '2027-05-22'],
            [($w = $work(2, [$attempt('2027-05-18', 2)], accepted: '2027-05-22'))->why, $w->notBefore?->iso()],
        );
    }

    public function test_a_stage_is_planned_with_the_athletes_own_object_and_share_of_distance(): void
    {
        $library = new Library(self::LIBRARY);
        $own = $library->ladder('javelin-throw')->rung('five-step');
        $this->assertNotNull($own);
        $rung = StageRung::of($library->programme('throws-distance-first'), 1, $own, $library->objects()['nothing'], 41.0, Side::Dominant);
        $dose = $rung->ownDose();
        $this->assertSame(
            [2, 10, 0.5, 16.5, $own->ownDose()->object->id],
            [$dose->sets, $dose->reps, $dose->effort, $dose->distanceM, $dose->object->id],
        );
        $this->assertNull(
            StageRung::of(
                $library->programme('throws-distance-first'), 1, $own, $library->objects()['nothing'], null,
                Side::Dominant,
            )->ownDose()->distanceM,
            'No longest throw, no distance made up.',
        );
        $this->assertSame(
            'nothing',
            StageRung::of(
                $library->programme('serves-effort-first'), 0, $own, $library->objects()['nothing'], null,
                Side::Dominant,
            )->ownDose()->object->id,
        );
        foreach (StageRung::without($own, [Channel::Arm])->blocks as $block) {
            $this->assertTrue($block->reps === 0 || $block->skill->arm === 0.0);
        }
    }

    public function test_growing_and_returning_make_limits_tighter_and_never_looser(): void
    {
        $terms = new LimitTerms('x', 'X', 'test', Severity::Hard);
        $limits = [
            new CapLimit($terms, measure: Measure::Arm, windowDays: 7, max: 400.0),
            new CapLimit($terms, measure: Measure::Landings, windowDays: 1, max: 80.0),
            new StepLimit($terms, measure: Measure::Arm, maxIncrease: 0.15, floor: 200.0),
            new RestLimit($terms, measure: Measure::HighReps, table: [[20.0, 1]]),
        ];
        $growing = Adjustment::growing($limits);
        $this->assertEqualsWithDelta([320.0, 56.0, 160.0], [$growing[0]->max, $growing[1]->max, $growing[2]->floor], 1e-9);
        $this->assertSame($limits[3], $growing[3]);
        $this->assertSame(60.0, Adjustment::returning($limits, fn (): bool => true)[2]->floor);
        $this->assertSame(200.0, Adjustment::returning($limits, fn (): bool => false)[2]->floor);
        $low = new StepLimit($terms, measure: Measure::Arm, maxIncrease: 0.15, floor: 45.0);
        $this->assertSame(45.0, Adjustment::returning([$low], fn (): bool => true)[0]->floor, 'a floor that is lower already stays');
        $this->assertTrue(Adjustment::isGrowingFast(0.61, 30) && ! Adjustment::isGrowingFast(0.6, 10));
        $this->assertSame(
            [true, true, true, false],
            array_map(fn (?int $age): bool => Adjustment::isGrowingFast(null, $age), [null, 12, 17, 18]),
            'who may still grow and was not measured may be growing fast',
        );
    }

    public function test_the_weeks_after_a_return_climb_and_end(): void
    {
        $done = Day::of('2027-05-01');
        $cap = fn (Side $side): CapLimit => new CapLimit(
            new LimitTerms("w {$side->value}", 'Arm week', 'test', Severity::Hard, null, new LimitFilter(sides: [$side])), Measure::Arm,
            7, 400.0,
        );
        $other = new LimitFilter(sides: [Side::Other]);
        $step = new StepLimit(
            new LimitTerms('s', 'Step', 'test', Severity::Hard, null, $other), Measure::Arm, 0.15, 200.0,
        );
        $limits = [$cap(Side::Dominant), $cap(Side::Other), $step];
        $hurt = Side::Dominant;
        $usual = 300.0;
        $max = function (int $daysAfter, array $weekly) use ($done, $limits, &$hurt, &$usual): ?float {
            // The week completed before the return was finished first, then those after it.
            $sets = [];
            foreach ($weekly as $week => $sum) {
                for ($i = 0; $i < 7; $i++) {
                    $sets[] = $this->armWork($done->plus(7 * ($week - 1) + $i), $sum / 7, $hurt);
                }
            }

            $limit = Adjustment::afterReturn(
                $limits,
                new DoneReturn(Channel::Arm, $done, $usual, $hurt),
                new LoadRecord($sets, [], $done->ordinal - 60),
                $done->plus($daysAfter),
            );
            $this->assertSame($hurt, $limit?->side() ?? $hurt, 'on the side that was hurt');

            return $limit?->max;
        };
        $this->assertEqualsWithDelta(120.0, $max(0, [100.0]), 1e-9, '1.2 × the week before');
        $this->assertEqualsWithDelta(280.0, $max(3, [300.0]), 1e-9, '70 % of the cap');
        $this->assertEqualsWithDelta(320.0, $max(8, [300.0, 280.0]), 1e-9, '80 %');
        $this->assertEqualsWithDelta(30.0, $max(0, [25.0]), 1e-9, 'no floor that the rule does not have');
        $this->assertEqualsWithDelta(120.0, $max(8, [100.0, 0.0]), 1e-9, 'an idle week is no week completed: the one before it counts');
        $this->assertEqualsWithDelta(312.0, $max(22, [100.0, 120.0, 140.0, 260.0]), 1e-9, 'from week four only the growth holds');
        $this->assertNull($max(27, [250.0, 250.0, 250.0, 250.0, 250.0]), 'over at 80 % of the usual week');
        $hurt = Side::Other;
        $this->assertEqualsWithDelta(280.0, $max(3, [300.0]), 1e-9);
        $usual = 0.0;
        $this->assertEqualsWithDelta(120.0, $max(0, [100.0]), 1e-9, 'a usual week that nobody knows: the step floor stands for it');
        $this->assertNull($max(27, [170.0, 170.0, 170.0, 170.0, 170.0]), 'over at 80 % of the floor');
    }

    private function armWork(Day $day, float $units, Side $side): CostedSet
    {
        return new CostedSet(
            $day->ordinal,
            '',
            'throw',
            Family::Throw,
            $side,
            Implement::Standard,
            [...array_fill_keys(Measure::ofSets(), 0.0), 'reps' => 10.0, 'arm' => $units],
            0.5,
            null,
        );
    }

    public function test_an_attempt_is_read_out_of_the_session_and_what_was_reported(): void
    {
        $stage = (new Library(self::LIBRARY))->programme('serves-effort-first')->stages[8];
        $read = fn (
            array $reports,
            int $done = 30,
            ?float $good = 0.6,
            School $school = School::Graded,
        ): Attempt => AttemptReading::of(Day::of('2027-05-20'), 8, $stage, Site::Shoulder, array_map(
            fn (array $r, int $i): SorenessReport => new SorenessReport(
                Instant::of(sprintf('2027-05-20T17:%02d:00Z', $i)), $r[0], $r[1], 'right', $r[2], $r[3],
            ),
            $reports, array_keys($reports),
        ), $school, $done, $good);
        $this->assertSame(
            [true, 0, false, false, null],
            [($a = $read([]))->completed, $a->during, $a->eased, $a->redFlag, $a->nextMorning],
        );
        $this->assertFalse($read([], done: 29)->completed);
        $this->assertFalse($read([], good: 0.49)->completed, 'A stage with targets asks for half of them.');
        $this->assertFalse($read([], good: null)->completed, 'Nobody judged is not a pass.');
        $muscle = fn (Moment $moment, int $score): array => [$moment, Site::Elbow, Kind::Muscle, $score];
        $this->assertSame([3, true], [($a = $read([$muscle(Moment::Warmup, 3), $muscle(Moment::Warmup, 1)]))->during, $a->eased]);
        $this->assertFalse($read([$muscle(Moment::Warmup, 3)])->eased, 'One report does not say that it eased.');
        $this->assertFalse($read([$muscle(Moment::Warmup, 3), $muscle(Moment::Warmup, 1), $muscle(Moment::During, 3)])->eased);
        $eased = fn (int $first, int $then, int ...$working): bool => $read([
            $muscle(Moment::Warmup, $first), $muscle(Moment::Warmup, $then),
            ...array_map(fn (int $score): array => $muscle(Moment::During, $score), array_values($working)),
        ])->eased;
        $this->assertSame(
            [true, true, false, false, false, false],
            [$eased(3, 2), $eased(3, 0, 2), $eased(3, 3), $eased(2, 0), $eased(0, 3), $eased(3, 2, 3)],
            'sore, then hardly, and so it stayed',
        );
        $this->assertTrue($read([], good: 0.5)->completed, 'half is half');
        $this->assertFalse($read([[Moment::Morning, Site::Shoulder, Kind::Numb, 1]])->redFlag, 'that of the morning has its own way');
        $strict = fn (Moment $moment, int $score): bool => $read(
            [[$moment, Site::Shoulder, Kind::Joint, $score]], school: School::Strict,
        )->jointSore;
        $this->assertSame([true, true, false, false], [
            $strict(Moment::Warmup, 1), $strict(Moment::After, 1), $strict(Moment::Morning, 5), $strict(Moment::During, 0),
        ]);
        $this->assertSame(0, $read([[Moment::During, Site::Knee, Kind::Muscle, 6]])->during, 'A knee is not on the way back.');
        $this->assertSame(0, $read([$muscle(Moment::Morning, 6)])->during, 'The morning was before the work.');
        $this->assertTrue($read([[Moment::After, Site::Shoulder, Kind::Numb, 1]])->redFlag);
        $joint = [[Moment::During, Site::Shoulder, Kind::Joint, 1]];
        $this->assertSame([false, true], [$read($joint)->jointSore, $read($joint, school: School::Strict)->jointSore]);
    }

    public function test_growth_is_read_from_heights_a_month_to_half_a_year_apart_and_the_fastest_counts(): void
    {
        $on = Day::of('2027-03-10');
        $growth = fn (array ...$heights): ?float => Adjustment::growthCmAMonth(
            array_map(fn (array $h): array => [Day::of($h[0]), $h[1], $h[2] ?? false], $heights),
            $on,
        );
        $this->assertNull($growth());
        $this->assertNull($growth(['2027-01-01', 140.0]));
        $this->assertNull($growth(['2026-01-01', 140.0], ['2027-01-01', 150.0]), 'A year apart says nothing of now.');
        $this->assertNull($growth(['2025-01-01', 140.0], ['2025-03-01', 141.0]), 'Nor do two of long ago.');
        $this->assertNull($growth(['2027-02-11', 140.0], ['2027-03-10', 141.0]), 'Nor do two less than four weeks apart.');
        $month = 30.4375;
        $this->assertEqualsWithDelta(2.0 / 60 * $month, $growth(['2026-09-01', 139.0], ['2027-01-01', 140.0], ['2027-03-02', 142.0]), 1e-9);
        $this->assertEqualsWithDelta(
            2.0 / 60 * $month,
            $growth(['2027-01-01', 140.0], ['2027-03-02', 142.0], ['2027-03-02', 140.5]),
            1e-9,
            'A second height of a day lifts nothing.',
        );
        $this->assertEqualsWithDelta(
            2.0 / 60 * $month,
            $growth(['2027-01-01', 140.0], ['2027-03-02', 142.0], ['2027-03-09', 120.0, true]),
            1e-9,
            'Of one that is doubted the faster growth counts.',
        );
        $this->assertEqualsWithDelta(
            30.0 / 60 * $month,
            $growth(['2027-01-01', 140.0], ['2027-03-02', 170.0, true], ['2027-03-02', 140.4]),
            1e-9,
        );
        $this->assertNull($growth(['2027-01-01', 140.0], ['2027-03-02', 120.0, true]), 'With nothing sure beside it, nobody knows.');
    }
}
