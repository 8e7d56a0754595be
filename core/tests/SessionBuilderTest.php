<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Instant;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\LibraryObject;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Limits\StreakLimit;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\BuiltSession;
use Augendo\Core\Planning\Layoff;
use Augendo\Core\Planning\SessionBuilder;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Trims by hand: one rung of every block, linear effort, one arm unit a full repetition. */
final class SessionBuilderTest extends TestCase
{
    private const ON = '2027-03-15';

    /** Arm units the rung asks for: 10 × 0.4 + 6 × 0.25 × 0.3 + 12 × 0.5 + 20 × 0.8 + 10 × 0.8 + 10 × 0.8. */
    private const ASKED = 4 + 0.45 + 6 + 16 + 8 + 8;

    public function test_with_room_nothing_is_trimmed(): void
    {
        $built = $this->build([$this->cap(self::ASKED)]);
        $this->assertSame([10, 6, 12, 20, 10, 10], $this->reps($built));
        $this->assertSame([], $built->trims);
    }

    public function test_game_like_is_trimmed_before_target_before_part_each_down_to_its_least_and_the_own_dose_stays(): void
    {
        $this->assertSame([10, 6, 12, 20, 10, 9], $this->reps($this->build([$this->cap(self::ASKED - 0.5)])));
        $this->assertSame([10, 6, 12, 20, 10, 5], $this->reps($this->build([$this->cap(self::ASKED - 4)])));
        $this->assertSame([10, 6, 12, 20, 9, 5], $this->reps($this->build([$this->cap(self::ASKED - 4.5)])));
        $this->assertSame([10, 6, 11, 20, 5, 5], $this->reps($this->build([$this->cap(self::ASKED - 8.5)])));
    }

    public function test_then_what_is_dropped_then_the_warm_up_then_effort_of_the_own_dose_and_every_trim_is_told_with_its_limit(): void
    {
        // Without target and game-like 4 + 0.45 + 6 + 16 = 26.45, a little less of the part fits.
        $this->assertSame([10, 6, 10, 20, 0, 0], $this->reps($this->build([$this->cap(25.5)])));
        $this->assertSame([8, 6, 0, 20, 0, 0], $this->reps($this->build([$this->cap(20.0)])), 'then the warm-up, to its least');
        $built = $this->build([$this->cap(15.5)]);
        $this->assertSame([5, 6, 0, 20, 0, 0], $this->reps($built));
        $this->assertEqualsWithDelta(0.65, $built->blocks[3]->effort, 1e-9, 'as little less as fits, in steps of five percent');
        $this->assertSame([5, 6, 0, 12, 0, 0], $this->reps($this->build([$this->cap(9.7)])), 'last its repetitions');
        $this->assertSame(
            ['dropped'],
            array_map(fn (Trim $trim): string => $trim->what, $this->trimsOf($this->build([$this->cap(22.0)]), 5)),
        );
        foreach ([25.5, 22.0, 12.0, 5.0] as $max) {
            $built = $this->build([$this->cap($max)]);
            foreach ($built->trims as $trim) {
                $this->assertSame($trim->cause === 'limit', $trim->limits !== []);
                $this->assertContains($trim->cause, $max < 8.0 ? ['limit', 'own_dose'] : ['limit']);
                $trim->cause === 'own_dose' || $this->assertSame(
                    ['cap'],
                    array_map(fn ($state): string => $state->id, $trim->limits),
                    "max {$max}, block {$trim->block}, {$trim->what}",
                );
            }
        }
    }

    public function test_without_the_own_dose_what_is_left_is_rehearsal_and_the_free_channels(): void
    {
        $built = $this->build([$this->cap(5.0)]);
        $this->assertSame([0, 6, 0, 0, 0, 0], $this->reps($built), 'nothing warms up for what is not done');
        $warmUp = array_values(array_filter($built->trims, fn (Trim $trim): bool => $trim->block === 0))[0];
        $this->assertSame(['dropped', 'own_dose'], [$warmUp->what, $warmUp->cause]);
        $other = new CapLimit(
            new LimitTerms('right', 'Right', 'test', Severity::Hard, null, new LimitFilter(sides: [Side::Dominant])), Measure::Arm, 1, 0.0,
        );
        $dose = $this->build([])->blocks[3]->asked;
        $sides = SessionBuilder::build($this->frame([$other]), new Rung('r', 'Rung', '', false, [], [], new Gate, [
            $dose, $dose->onSide(Side::Other)->with(['kind' => BlockKind::OtherSide, 'judged' => false]),
        ]));
        $this->assertSame([0, 20], $this->reps($sides), 'the other arm is free');
        $none = $this->build([$this->cap(0.0)]);
        $this->assertSame([0, 0, 0, 0, 0, 0], $this->reps($none), 'A limit of zero leaves nothing, and is no exception.');
    }

    public function test_the_own_dose_is_there_whenever_its_least_fits_beside_a_safe_warm_up_and_the_rehearsal(): void
    {
        $least = 5 * 0.4 + 0.45 + 10 * 0.6;
        for ($cap = 0.0; $cap < self::ASKED; $cap += 0.25) {
            $built = $this->build([$this->cap($cap)]);
            $this->assertSame($cap >= $least, $built->blocks[3]->reps > 0, "{$cap} units");
            $arm = fn (BlockPlan $of): float => $of->cost(Day::of(self::ON), 's', $this->price())->cost['arm'];
            $this->assertLessThanOrEqual($cap + 1e-9, array_sum(array_map($arm, $built->blocks)));
        }
    }

    public function test_a_later_day_is_kept_fit_too(): void
    {
        $later = $this->set(Day::of(self::ON)->plus(2), 30);
        $built = $this->build([$this->cap(60.0, days: 3)], plans: [$later]);
        $sum = array_sum(
            array_map(fn ($block): float => $block->cost(Day::of(self::ON), 's', $this->price())->cost['arm'], $built->blocks),
        );
        $this->assertLessThanOrEqual(30.0 + 1e-9, $sum);
        $this->assertGreaterThan(28.0, $sum, 'and no lower than it must');
        // A later day that was over anyway is not this session's doing.
        $this->assertSame([], $this->build([$this->cap(60.0, days: 3)], plans: [$this->set(Day::of(self::ON)->plus(2), 90)])->trims);
    }

    public function test_a_limit_the_work_does_not_touch_trims_nothing(): void
    {
        $terms = fn (string $id, Severity $severity): LimitTerms => new LimitTerms(
            $id, ucfirst($id), 'test', $severity, null, new LimitFilter,
        );
        $landings = new CapLimit($terms('landings', Severity::Hard), Measure::Landings, 1, 0.0);
        $this->assertSame([], $this->build([$landings])->trims);
        $advice = new CapLimit($terms('advice', Severity::Advise), Measure::Arm, 1, 1.0);
        $this->assertSame([], $this->build([$advice])->trims, 'Advice is said, not enforced.');
        $otherSide = new CapLimit(
            new LimitTerms('other', 'Other', 'test', Severity::Hard, null, new LimitFilter(sides: [Side::Other])), Measure::Arm, 1, 0.0,
        );
        $this->assertSame([], $this->build([$otherSide])->trims);
    }

    public function test_too_many_days_running_leaves_a_free_day(): void
    {
        $running = new LimitTerms('streak', 'Days running', 'test', Severity::Hard, null, new LimitFilter);
        $streak = new StreakLimit($running, Measure::Arm, 2, 10.0);
        $on = Day::of(self::ON);
        $built = $this->build([$streak], record: [$this->set($on->plus(-1), 20), $this->set($on->plus(-2), 20)]);
        $this->assertLessThan(
            10.0,
            array_sum(array_map(fn ($block): float => $block->cost($on, 's', $this->price())->cost['arm'], $built->blocks)),
        );
        $this->assertSame([], $this->build([$streak], record: [$this->set($on->plus(-1), 20), $this->set($on->plus(-3), 20)])->trims);
    }

    public function test_the_word_takes_its_share_before_any_limit_and_keeps_the_warm_up(): void
    {
        $sore = fn (int $score, ?string $side = 'right'): array => [[Site::Shoulder, $side, Kind::Muscle, $score]];
        $reduced = $this->build([], reports: $sore(3));
        $this->assertSame([10, 3, 7, 12, 6, 6], $this->reps($reduced));
        $this->assertSame(0.75, $reduced->blocks[3]->effort);
        $this->assertSame([0, 0, 0, 0, 0, 0], $this->reps($this->build([], reports: $sore(5))), 'None is none, the warm-up too.');
        $this->assertSame(
            [10, 6, 12, 20, 10, 10],
            $this->reps($this->build([], reports: $sore(5, 'left'))),
            'The other arm is not this one.',
        );
        $unknown = $this->build([], reports: []);
        $this->assertSame([10, 3, 7, 12, 6, 6], $this->reps($unknown));
        $this->assertSame([0.4, 0.5], [$unknown->blocks[0]->effort, $unknown->blocks[3]->effort], 'Half effort at most.');
        $this->assertSame('word', $unknown->trims[0]->cause);
    }

    public function test_a_layoff_starts_lower_and_a_stage_of_a_return_is_taken_as_given(): void
    {
        foreach ([7 => 20, 8 => 16, 14 => 16, 15 => 12, 40 => 12] as $idle => $whole) {
            $this->assertSame($whole, $this->build([], idle: $idle)->blocks[3]->reps, "{$idle} idle days");
        }
        $this->assertSame(10, $this->build([], idle: 40)->blocks[0]->reps, 'The warm-up is not scaled.');
        $given = $this->build([], reports: [[Site::Shoulder, 'right', Kind::Muscle, 3]], idle: 40, asGiven: true);
        $this->assertSame([10, 6, 12, 20, 10, 10], $this->reps($given));
        $efforts = fn (?int $idle): array => array_map(
            fn (BlockPlan $block): float => $block->effort,
            $this->build([], idle: $idle)->blocks,
        );
        $this->assertEqualsWithDelta([0.4, 0.3, 0.5, 0.8, 0.8, 0.8], $efforts(14), 1e-9);
        $this->assertEqualsWithDelta([0.4, 0.3, 0.25, 0.55, 0.55, 0.55], $efforts(15), 1e-9, 'from fifteen days one step easier, too');
        $this->assertSame(
            [12, $efforts(15)],
            [$this->build([], idle: null)->blocks[3]->reps, $efforts(null)],
            'With no record nobody knows better: as after a long break.',
        );
    }

    /** @return list<string> every trim: its block, what, from, to and why */
    private function told(BuiltSession $built): array
    {
        return array_map(fn (Trim $trim): string => sprintf(
            '%s %s %g→%g %s%s', $trim->block ?? '-', $trim->what, round($trim->from, 3), round($trim->to, 3), $trim->cause,
            $trim->idleDays === null ? '' : " {$trim->idleDays}",
        ), $built->trims);
    }

    public function test_every_trim_says_what_it_took_from_which_block_and_why(): void
    {
        $sore = fn (int $score): array => [[Site::Shoulder, 'right', Kind::Muscle, $score]];
        $this->assertSame([
            '1 reps 6→3 word', '2 reps 12→7 word', '3 reps 20→12 word', '3 effort 0.8→0.75 word', '4 reps 10→6 word',
            '4 effort 0.8→0.75 word', '5 reps 10→6 word', '5 effort 0.8→0.75 word',
        ], $this->told($this->build([], reports: $sore(4))), 'six tenths, three quarters of the effort at most; the warm-up stays');
        $this->assertSame([
            '0 dropped 10→0 word', '1 dropped 6→0 word', '2 dropped 12→0 word', '3 dropped 20→0 word', '4 dropped 10→0 word',
            '5 dropped 10→0 word',
        ], $this->told($this->build([], reports: $sore(8))));
        $this->assertSame([
            '1 reps 6→3 word', '2 reps 12→7 word', '3 reps 20→12 word', '3 effort 0.8→0.5 word', '4 reps 10→6 word',
            '4 effort 0.8→0.5 word', '5 reps 10→6 word', '5 effort 0.8→0.5 word',
        ], $this->told($this->build([], reports: [])), 'nobody has checked in');
        $this->assertSame(
            ['2 reps 12→9 layoff 9', '3 reps 20→16 layoff 9', '4 reps 10→8 layoff 9', '5 reps 10→8 layoff 9'],
            $this->told($this->build([], idle: 9)),
        );
        $this->assertSame([
            '2 reps 12→7 layoff 20', '2 effort 0.5→0.25 layoff 20', '3 reps 20→12 layoff 20', '3 effort 0.8→0.55 layoff 20',
            '4 reps 10→6 layoff 20', '4 effort 0.8→0.55 layoff 20', '5 reps 10→6 layoff 20', '5 effort 0.8→0.55 layoff 20',
        ], $this->told($this->build([], idle: 20)));
        $this->assertSame(
            ['2 dropped 12→0 limit', '4 dropped 10→0 limit', '5 dropped 10→0 limit'],
            $this->told($this->build([$this->cap(22.0)])),
        );
        $one = $this->build([])->blocks[3]->asked->with(['sets' => 1, 'reps' => 1, 'effort' => 0.9]);
        $fit = fn (?array $reports, int $idle): BuiltSession => SessionBuilder::build(
            $this->frame([], reports: $reports, idle: $idle), new Rung('r', 'Rung', '', false, [], [], new Gate, [$one]),
        );
        $this->assertSame(['0 dropped 1→0 word'], $this->told($fit($sore(4), 2)), 'what is left out has no effort to lower');
        $this->assertSame(['0 dropped 1→0 layoff 20'], $this->told($fit(null, 20)));
    }

    /**
     * 410 s of warm-up, 30, 96, 300, 150 and 150, and five change-overs of 45: 1361 s.
     *
     * @param  list<string>  $told
     */
    #[TestWith([23, []])]
    #[TestWith([22, ['5 reps 10→7 minutes']])]
    #[TestWith([20, ['2 reps 12→10 minutes', '4 reps 10→5 minutes', '5 reps 10→5 minutes']])]
    #[TestWith([14, ['2 dropped 12→0 minutes', '4 dropped 10→0 minutes', '5 dropped 10→0 minutes']])]
    #[TestWith([6, [
        '1 dropped 6→0 minutes', '2 dropped 12→0 minutes', '3 dropped 20→0 minutes', '4 dropped 10→0 minutes',
        '5 dropped 10→0 minutes', '0 minutes 7→6 minutes',
    ]])]
    public function test_what_does_not_fit_the_minutes_goes_and_the_warm_up_stays(int $minutes, array $told): void
    {
        $rung = new Rung('r', 'Rung', '', false, [], [], new Gate, array_map(
            fn (BlockPlan $block): BlockDose => $block->asked, $this->build([])->blocks,
        ));
        $built = SessionBuilder::build($this->frame([]), $rung, minutes: $minutes);
        $this->assertSame($told, $this->told($built));
        foreach ($built->trims as $trim) {
            $this->assertSame($minutes, $trim->minutes);
        }
    }

    /** Thrown 34 m of the longest 40 a throw costs 0.85 and at 30 m or nearer the 0.75 of its effort: distance gives way, then reps. */
    public function test_a_throw_gives_way_in_effort_then_distance_then_repetitions(): void
    {
        $whole = $this->thrown();
        $fit = fn (float $cap, BlockDose $dose): array => $this->told($this->built($dose, [$this->cap($cap)]));
        $this->assertSame([], $fit(17.0, $whole));
        $this->assertSame(['0 distance 34→32 limit'], $fit(16.01, $whole));
        $this->assertSame(['0 distance 34→30 limit'], $fit(15.0, $whole));
        $halves = $whole->with(['distanceM' => 33.5]);
        $this->assertSame(['0 distance 33.5→32 limit'], $fit(16.2, $halves), 'whole metres, from the least on');
        $this->assertSame(['0 reps 20→13 limit', '0 distance 34→30 limit'], $fit(10.0, $whole));
        $this->assertSame(['0 reps 20→10 limit', '0 distance 34→30 limit'], $fit(7.5, $whole), 'to its least');
        $this->assertSame(['0 dropped 20→0 limit'], $fit(7.4, $whole));
        $this->assertSame(['0 effort 0.75→0.7 limit', '0 distance 34→28 limit'], $fit(14.01, $whole->with(['effortMin' => 0.5])));
        $fixed = $whole->with(['distanceMinM' => null]);
        $this->assertSame(['0 dropped 20→0 limit'], $fit(8.0, $fixed), 'a distance that may not give way');
    }

    /** Half an effort goes to 0.7 of the longest 40 m: 28 m, whatever else is asked for and whatever took the effort down. */
    public function test_a_throw_is_never_called_easier_than_its_distance_lets_it_be(): void
    {
        $half = $this->thrown()->with(['effort' => 0.5, 'effortMin' => 0.5, 'distanceM' => 36.0]);
        $this->assertSame(['0 distance 36→28 reach'], $this->told($this->built($half, [])));
        $this->assertSame([], $this->told($this->built($half->with(['distanceM' => 28.0]), [])));
        $serve = $half->with(['skill' => new Skill('serve', Family::Serve, 0, 1.0, 0, 0)]);
        $this->assertSame([], $this->told($this->built($serve, [])), 'a serve asks for no distance');
        $notCheckedIn = $this->built($this->thrown(), [], reports: []);
        [$block] = $notCheckedIn->blocks;
        $this->assertSame([0.5, 28.0], [$block->effort, $block->distanceM], 'not checked in: half effort, and not from afar');
    }

    private function thrown(): BlockDose
    {
        return $this->build([])->blocks[3]->asked->with([
            'sets' => 1, 'reps' => 20, 'repsMin' => 10, 'effort' => 0.75, 'effortMin' => 0.75, 'distanceM' => 34.0, 'distanceMinM' => 20.0,
        ]);
    }

    /**
     * @param  list<\Augendo\Core\Limits\Limit>  $limits
     * @param  array<mixed>|null  $reports
     */
    private function built(BlockDose $dose, array $limits, ?array $reports = null): BuiltSession
    {
        $price = new SetCost(new AthleteProfile(null, ['throw' => 40.0]), EffortCurve::Linear);

        return SessionBuilder::build(
            $this->frame($limits, price: $price, reports: $reports), new Rung('r', 'Rung', '', false, [], [], new Gate, [$dose]),
        );
    }

    public function test_minutes_may_be_filled_to_the_last_second(): void
    {
        $whole = $this->build([])->blocks[3]->asked->with(['sets' => 1, 'reps' => 15]);
        $fit = fn (BlockDose $dose): array => $this->told(SessionBuilder::build(
            $this->frame([]), new Rung('r', 'Rung', '', false, [], [], new Gate, [$dose]), minutes: 3,
        ));
        $this->assertSame([], $fit($whole), 'fifteen times twelve seconds are three minutes');
        $this->assertSame(['0 reps 16→15 minutes'], $fit($whole->with(['reps' => 16])));
    }

    public function test_doses_that_were_fitted_before_are_lowered_to_what_is_left_and_never_raised(): void
    {
        $lowered = function (array $limits, array $reps, ?array $reports = null): array {
            $plans = array_map(
                fn (BlockPlan $plan, int $wanted): BlockPlan => $plan->withReps($wanted), $this->build([])->blocks, $reps,
            );

            return array_map(
                fn (BlockPlan $plan): array => [$plan->reps, round($plan->effort, 2)],
                SessionBuilder::lowered($this->frame($limits, reports: $reports), $plans),
            );
        };
        $as = [[10, 0.4], [6, 0.3], [12, 0.5], [20, 0.8], [10, 0.8], [10, 0.8]];
        $this->assertSame($as, $lowered([], [10, 6, 12, 20, 10, 10]));
        $fewer = $lowered([], [5, 6, 12, 9, 0, 10]);
        $this->assertSame([5, 6, 12, 9, 0, 10], array_column($fewer, 0), 'what was taken off is not given back');
        $none = $lowered([], [10, 6, 12, 20, 10, 10], [[Site::Shoulder, 'right', Kind::Muscle, 8]]);
        $this->assertSame([0, 0, 0, 0, 0, 0], array_column($none, 0), 'too sore by now');
        $sore = $lowered([], [10, 6, 12, 20, 10, 10], [[Site::Shoulder, 'right', Kind::Muscle, 4]]);
        $this->assertSame([10, 6, 12, 20, 10, 10], array_column($sore, 0));
        $this->assertLessThan(0.8, $sore[3][1] + 0.01, 'effort is held down by the word');
        $held = array_sum(array_map(fn (array $each): float => $each[0] * $each[1], $lowered([$this->cap(20.0)], [10, 6, 12, 20, 10, 10])));
        $this->assertLessThanOrEqual(20.0 + 6 * 0.3, $held, 'the rehearsal costs a quarter of itself');
        $this->assertGreaterThan(15.0, $held);
    }

    public function test_a_block_that_counts_nothing_is_left_out_where_its_part_is_too_sore_and_trims_keep_their_places(): void
    {
        $hold = fn (BlockPlan $of): BlockDose => $of->asked->with(['reps' => 0, 'title' => 'Hold the pose', 'kind' => BlockKind::CoolDown]);
        $rung = fn (array $blocks): Rung => new Rung('r', 'Rung', '', false, [], [], new Gate, $blocks);
        [$warm, $rehearsal, $part] = $this->build([])->blocks;
        $blocks = [$hold($part), $warm->asked, $hold($warm)->with(['title' => 'Hold on']), $part->asked];
        $fit = fn (?array $reports): BuiltSession => SessionBuilder::build($this->frame([], reports: $reports), $rung($blocks));
        $this->assertCount(4, $fit(null)->blocks);
        $sore = $fit([[Site::Shoulder, 'right', Kind::Muscle, 8]]);
        $this->assertSame([0, 0], $this->reps($sore), 'only what counts is shown as left out');
        $dropped = array_values(array_filter($sore->trims, fn (Trim $trim): bool => $trim->block === null));
        $this->assertSame(['- dropped 0→0 word', '- dropped 0→0 word'], array_slice($this->told($sore), -2));
        $this->assertSame(['Hold the pose', 'Hold on'], array_map(fn (Trim $trim): ?string => $trim->title, $dropped));
        foreach ([0, 1] as $i) {
            $this->assertCount(1, $this->trimsOf($sore, $i), 'the reason stands beside its block, wherever that is now');
        }
        $this->assertSame($rehearsal->asked->kind, BlockKind::Rehearsal);
    }

    /** @return list<int> */
    private function reps(BuiltSession $built): array
    {
        return array_map(fn ($block): int => $block->reps, $built->blocks);
    }

    /** @return list<Trim> */
    private function trimsOf(BuiltSession $built, int $block): array
    {
        return array_values(array_filter($built->trims, fn (Trim $trim): bool => $trim->block === $block));
    }

    private function cap(float $max, int $days = 1): CapLimit
    {
        return new CapLimit(new LimitTerms('cap', 'Arm', 'test', Severity::Hard, null, new LimitFilter), Measure::Arm, $days, $max);
    }

    private function price(): SetCost
    {
        return new SetCost(new AthleteProfile(null), EffortCurve::Linear);
    }

    private function skill(): Skill
    {
        return new Skill('throw', Family::Throw, 0.0, 1.0, 0.0, 0.0);
    }

    private function set(Day $day, int $reps): CostedSet
    {
        return $this->price()->of(new WorkSet($day, 'other', $this->skill(), $reps, 1.0, Implement::Standard));
    }

    /**
     * @param  list<Limit>  $limits
     * @param  list<CostedSet>  $record
     * @param  list<CostedSet>  $plans
     * @param  list<array{Site, string|null, Kind, int}>|null  $reports  null: nothing sore
     */
    private function build(
        array $limits, array $record = [], array $plans = [], ?array $reports = null, ?int $idle = 2,
        bool $asGiven = false,
    ): BuiltSession {
        $frame = $this->frame($limits, $record, $plans, $reports, $idle);
        $ball = new LibraryObject('ball', 'Ball', Implement::Standard, null, null);
        $nothing = new LibraryObject('nothing', 'Nothing', Implement::Shadow, null, null);
        $block = fn (
            BlockKind $kind, int $sets, int $reps, float $effort, ?float $least = null, ?LibraryObject $object = null,
        ): BlockDose => new BlockDose(
            $kind, $kind->value, '', $this->skill(), $object ?? $ball, Side::Dominant, null, $sets, $reps,
            intdiv($sets * $reps, 2), $effort, $least ?? $effort, null, null, 60, null, 2, null,
            $kind === BlockKind::Whole,
        );

        return SessionBuilder::build($frame, new Rung('r', 'Rung', '', false, [], [], new Gate, [
            $block(BlockKind::WarmUp, 1, 10, 0.4), $block(BlockKind::Rehearsal, 1, 6, 0.3, object: $nothing),
            $block(BlockKind::Part, 1, 12, 0.5),
            $block(BlockKind::Whole, 2, 10, 0.8, 0.6), $block(BlockKind::Target, 1, 10, 0.8), $block(BlockKind::GameLike, 1, 10, 0.8),
        ]), $asGiven);
    }

    /**
     * @param  list<Limit>  $limits
     * @param  list<CostedSet>  $record
     * @param  list<CostedSet>  $plans
     * @param  list<array{Site, string|null, Kind, int}>|null  $reports  null: nothing sore
     */
    private function frame(
        array $limits, array $record = [], array $plans = [], ?array $reports = null, ?int $idle = 2, ?SetCost $price = null,
    ): SessionFrame {
        $on = Day::of(self::ON);
        $reports ??= [[Site::None, null, Kind::Muscle, 0]];
        $readiness = Readiness::on(
            $on,
            30,
            array_map(
                fn (array $r): SorenessReport => new SorenessReport(Instant::of(self::ON.'T08:00:00Z'), Moment::Before, ...$r),
                $reports,
            ),
            [],
        );

        return new SessionFrame(
            $on, 's', $price ?? $this->price(), $readiness, new LoadRecord($record),
            new LimitCalendar($limits, new AthleteProfile($on->plus(-30 * 366))), $plans, Layoff::days($idle),
            Handedness::Right,
        );
    }
}
