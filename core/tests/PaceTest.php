<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Planning\Beginning;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\Pace;
use PHPUnit\Framework\TestCase;

/** How a season comes to the dose of a rung, in figures worked out by hand. */
final class PaceTest extends TestCase
{
    private Rung $rung;

    private BlockDose $throw;

    private BlockDose $serve;

    protected function setUp(): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $figures = [
            'sets' => 2, 'reps' => 10, 'repsMin' => 6, 'effort' => 0.8, 'effortMin' => 0.5, 'distanceM' => 20.0, 'distanceMinM' => 8.0,
        ];
        $this->rung = $library->ladder('overhand-throw')->rungs[0];
        $this->throw = $this->rung->ownDose()->with($figures);
        $this->serve = $library->ladder('racket-serve')->rungs[0]->ownDose()->with($figures);
    }

    public function test_a_rung_is_begun_at_four_fifths_of_its_repetitions_and_the_least_of_the_rest(): void
    {
        $this->assertPace([16, 0.5, 8.0, []], Pace::next(null, $this->throw, Emphasis::Heavy));
        $this->assertPace([18, 0.5, 8.0, []], Pace::next(null, $this->throw->with(['repsMin' => 18]), Emphasis::Heavy));
        $this->assertPace([20, 0.5, 8.0, []], Pace::next(null, $this->throw->with(['repsMin' => 30]), Emphasis::Heavy));
        $this->assertPace([16, 0.5, 20.0, []], Pace::next(null, $this->throw->with(['distanceMinM' => null]), Emphasis::Heavy));
        $standing = $this->throw->with(['distanceM' => null, 'distanceMinM' => null]);
        $this->assertPace([16, 0.5, null, []], Pace::next(null, $standing, Emphasis::Heavy));
        $this->assertPace([11, 0.5, 8.0, []], Pace::next(null, $this->throw, Emphasis::Light));
        $this->assertPace([12, 0.5, 8.0, []], Pace::next(null, $this->throw, Emphasis::LightWeek));
        $this->assertPace([9, 0.5, 8.0, []], Pace::next(null, $this->throw, Emphasis::Taper));
        $single = $this->throw->with(['sets' => 1, 'reps' => 1, 'repsMin' => 0]);
        $this->assertPace([1, 0.5, 8.0, []], Pace::next(null, $single, Emphasis::BeforeMatch), 'one is left, however light');
    }

    public function test_a_rung_is_begun_with_what_the_last_weeks_carried_and_never_beyond_what_it_asks(): void
    {
        $with = fn (float $share, ?float $effort = null, ?float $distanceM = null): Pace => Pace::next(
            null, $this->throw, Emphasis::Heavy, beginning: new Beginning($share, $share, $effort, $distanceM),
        );
        $this->assertPace([10, 0.5, 8.0, []], $with(0.5));
        $this->assertPace([6, 0.5, 8.0, []], $with(0.1), 'never less than is worth doing');
        $this->assertPace([20, 0.5, 8.0, []], $with(3.0));
        $this->assertPace([10, 0.7, 14.5, []], $with(0.5, 0.7, 14.5));
        $this->assertPace([10, 0.8, 20.0, []], $with(0.5, 0.95, 40.0));
        $this->assertPace([10, 0.5, 8.0, []], $with(0.5, 0.3, 4.0));
    }

    public function test_around_a_match_repetitions_and_effort_give_way_and_the_least_of_the_rung_stays(): void
    {
        $reached = Pace::at(16, 0.7, 14.0);
        $this->assertPace([11, 0.55, 14.0, []], Pace::next($reached, $this->throw, Emphasis::AroundMatch, begins: false));
        $this->assertPace([8, 0.55, 14.0, []], Pace::next($reached, $this->throw, Emphasis::BeforeMatch, begins: false));
        $this->assertPace([8, 0.5, 14.0, []], Pace::next(Pace::at(16, 0.55, 14.0), $this->throw, Emphasis::BeforeMatch, begins: false));
        $this->assertPace([8, 0.3, 14.0, []], Pace::next(Pace::at(16, 0.3, 14.0), $this->throw, Emphasis::BeforeMatch, begins: false));
        $taper = Pace::next($reached, $this->throw, Emphasis::Taper, begins: false);
        $this->assertPace([9, 0.7, 14.0, []], $taper, 'before the goal effort stays');
    }

    public function test_no_throw_is_planned_further_than_its_effort_reaches(): void
    {
        // Half an effort is 70 % of the stress, and so of the distance: 14 of 20 m.
        $next = fn (?Pace $before): Pace => Pace::next($before, $this->throw, Emphasis::Heavy, begins: false, longestM: 20.0);
        $this->assertPace([16, 0.5, 14.0, ['distance']], $next(Pace::at(16, 0.5, 12.0)));
        $this->assertPace([16, 0.65, 14.0, ['effort']], $next(Pace::at(16, 0.5, 14.0)), 'more metres would be a harder throw');
        $this->assertPace([16, 0.5, 8.0, []], $next(null));
        $this->assertPace([16, 0.5, 7.0, []], Pace::next(null, $this->throw, Emphasis::Heavy, longestM: 10.0));
        $this->assertPace([16, 0.5, 18.0, ['distance']], Pace::next(
            Pace::at(16, 0.5, 13.0), $this->serve->with(['effort' => 0.5]), Emphasis::Heavy, begins: false, longestM: 10.0,
        ), 'a serve is not a throw');
    }

    public function test_a_throw_grows_in_distance_then_effort_then_repetitions_one_at_a_time(): void
    {
        $this->assertGrows($this->throw, [
            [16, 0.5, 8.0, []], [16, 0.5, 13.0, ['distance']], [16, 0.5, 18.0, ['distance']], [16, 0.5, 20.0, ['distance']],
            [16, 0.65, 20.0, ['effort']], [16, 0.8, 20.0, ['effort']], [20, 0.8, 20.0, ['reps']], [20, 0.8, 20.0, []],
        ]);
    }

    public function test_a_serve_grows_in_effort_first_for_a_court_gets_no_longer(): void
    {
        $this->assertGrows($this->serve, [
            [16, 0.5, 8.0, []], [16, 0.65, 8.0, ['effort']], [16, 0.8, 8.0, ['effort']], [16, 0.8, 13.0, ['distance']],
            [16, 0.8, 18.0, ['distance']], [16, 0.8, 20.0, ['distance']], [20, 0.8, 20.0, ['reps']],
        ]);
    }

    public function test_a_step_is_a_metre_and_a_repetition_at_the_least(): void
    {
        $short = $this->throw->with(['distanceM' => 3.0, 'distanceMinM' => 1.0, 'sets' => 1, 'reps' => 2, 'repsMin' => 1]);
        $next = fn (Pace $before): Pace => Pace::next($before, $short, Emphasis::Heavy, begins: false);
        $this->assertPace([1, 0.5, 2.0, ['distance']], $next(Pace::at(1, 0.5, 1.0)));
        $there = Pace::at(1, 0.8, 3.0);
        $this->assertPace([2, 0.8, 3.0, ['reps']], $next($there));
        $this->assertPace([13, 0.8, 20.0, ['reps']], Pace::next(Pace::at(10, 0.8, 20.0), $this->throw, Emphasis::Heavy, begins: false));
        $this->assertPace([6, 0.8, 20.0, ['reps']], Pace::next(Pace::at(4, 0.8, 20.0), $this->throw, Emphasis::Heavy, begins: false));
    }

    public function test_what_lies_just_below_is_raised_too_and_what_is_rounded_is_not(): void
    {
        $next = fn (Pace $before): Pace => Pace::next($before, $this->throw, Emphasis::Heavy, begins: false);
        $this->assertPace([16, 0.5, 20.0, ['distance']], $next(Pace::at(16, 0.5, 19.5)));
        $this->assertPace([16, 0.65, 20.0, ['effort']], $next(Pace::at(16, 0.5, 20.0 - 1e-10)));
        $this->assertPace([20, 0.8, 20.0, ['reps']], $next(Pace::at(16, 0.8 - 1e-10, 20.0)));
        $this->assertPace([16, 0.5, 13.0, ['distance']], $next(Pace::at(16, 0.5, 8.0 - 1e-10)));
    }

    public function test_a_rung_is_begun_from_its_least_distance_and_effort_and_repetitions_wait_their_turn(): void
    {
        $low = Pace::at(4, 0.4, 5.0);
        $begun = Pace::next($low, $this->throw, Emphasis::Heavy);
        $this->assertPace([4, 0.4, 8.0, []], $begun, 'from how far is part of what the rung is');
        $this->assertPace([2, 0.4, 8.0, []], Pace::next($low, $this->throw, Emphasis::Light));
        $this->assertPace([4, 0.4, 12.0, []], Pace::next(Pace::at(4, 0.4, 12.0), $this->throw, Emphasis::Heavy));
        $baseLine = $this->serve->with(['distanceMinM' => null]);
        $this->assertPace([4, 0.4, 20.0, []], Pace::next($low, $baseLine, Emphasis::Heavy), 'without a least from where it says');
        $this->assertFalse($begun->isWorthARung($this->throw));
        foreach ([[6, 0.4, 8.0, ['reps']], [6, 0.55, 8.0, ['effort']], [6, 0.55, 13.0, ['distance']]] as $i => $expected) {
            $begun = Pace::next($begun, $this->throw, Emphasis::Heavy, begins: false);
            $this->assertPace($expected, $begun, "heavy day {$i}");
            $this->assertSame($i >= 1, $begun->isWorthARung($this->throw));
        }
        $trimmed = Pace::next(Pace::at(6, 0.55, 6.0), $this->throw, Emphasis::Heavy, begins: false);
        $this->assertPace([6, 0.55, 11.0, ['distance']], $trimmed, 'what was trimmed below the least comes back first');
        $this->assertPace([16, 0.5, 8.0, []], Pace::next(Pace::at(16, 0.5, null), $this->throw, Emphasis::Heavy), 'no metres before');
        $carried = Pace::next($low, $this->throw, Emphasis::Heavy, beginning: new Beginning(carried: 0.7));
        $this->assertPace([14, 0.4, 8.0, []], $carried, 'as much as the last weeks carried is no raise');
    }

    public function test_repetitions_are_put_in_sets_so_that_few_are_left_over(): void
    {
        $own = $this->throw->with(['sets' => 5, 'reps' => 8, 'judged' => true]);
        $rung = $this->rung->with(['blocks' => [$own]]);
        foreach ([40 => [5, 8], 28 => [5, 5], 19 => [3, 6], 16 => [4, 4], 9 => [2, 4], 7 => [1, 7], 3 => [1, 3]] as $reps => $sets) {
            $block = Pace::at($reps, 0.8, 20.0)->on($rung)->blocks[0];
            $this->assertSame($sets, [$block->sets, $block->reps], "{$reps} repetitions");
        }
    }

    public function test_what_was_done_before_never_carries_past_what_the_rung_asks(): void
    {
        $this->assertPace([20, 0.8, 20.0, []], Pace::next(Pace::at(40, 1.0, 60.0), $this->throw, Emphasis::Heavy));
        $this->assertPace([14, 0.8, 20.0, []], Pace::next(Pace::at(40, 1.0, 60.0), $this->throw, Emphasis::Light));
        $this->assertPace([20, 0.8, 20.0, []], Pace::at(40, 1.0, 60.0)->within($this->throw));
        $this->assertPace([4, 0.3, 2.0, []], Pace::at(4, 0.3, 2.0)->within($this->throw), 'what came down comes back by steps');
        $this->assertPace([4, 0.6, 12.0, []], Pace::at(4, 0.6, 12.0)->within($this->throw));
        $this->assertPace([4, 0.6, 8.0, []], Pace::at(4, 0.6, null)->within($this->throw));
        $this->assertPace([4, 0.6, 20.0, []], Pace::at(4, 0.6, null)->within($this->throw->with(['distanceMinM' => null])));
        $standing = $this->throw->with(['distanceM' => null, 'distanceMinM' => null]);
        $this->assertPace([4, 0.6, null, []], Pace::at(4, 0.6, 12.0)->within($standing));
    }

    public function test_the_rung_at_a_pace_lowers_what_is_scored_and_played_with_it_and_leaves_the_rest(): void
    {
        $block = fn (BlockKind $kind, array $with = []): BlockDose => $this->throw->with(
            ['kind' => $kind, 'judged' => false, 'title' => $kind->value, ...$with],
        );
        $blocks = [
            $block(BlockKind::WarmUp), $block(BlockKind::Rehearsal), $this->throw->with(['kind' => BlockKind::Whole, 'judged' => true]),
            $block(BlockKind::Target, ['sets' => 3, 'reps' => 4, 'repsMin' => 12, 'effort' => 0.9, 'effortMin' => 0.7]),
            $block(BlockKind::GameLike, ['sets' => 1, 'reps' => 0]), $block(BlockKind::CoolDown),
        ];
        $on = Pace::at(9, 0.6, 7.0)->on($this->rung->with(['blocks' => $blocks]));
        foreach ([0, 1, 4, 5] as $i) {
            $this->assertSame($blocks[$i], $on->blocks[$i]);
        }
        // 9 of 20: two sets of four; the target loses as much, 5 of its 12, in one set, and no less effort than it makes sense with.
        $this->assertDose([2, 4, 6, 0.6, 0.5, 7.0, 7.0], $on->blocks[2]);
        $this->assertDose([1, 5, 5, 0.7, 0.7, 20.0, 8.0], $on->blocks[3]);
        $whole = Pace::at(20, 0.8, 20.0)->on($this->rung->with(['blocks' => $blocks]));
        $this->assertDose([2, 10, 6, 0.8, 0.5, 20.0, 8.0], $whole->blocks[2]);
        $this->assertDose([3, 4, 12, 0.8, 0.7, 20.0, 8.0], $whole->blocks[3]);
        $more = Pace::at(40, 0.8, 20.0)->on($this->rung->with(['blocks' => $blocks]));
        $this->assertSame(12, $more->blocks[3]->sets * $more->blocks[3]->reps, 'never more than was asked');
        $least = Pace::at(1, 0.55, 7.0)->on($this->rung->with(['blocks' => $blocks]));
        $this->assertSame([1, 1], [$least->blocks[3]->sets, $least->blocks[3]->reps], 'one is left');
        $easy = Pace::at(20, 0.5, 7.0)->on($this->rung->with(['blocks' => $blocks]));
        $this->assertSame([0, 1, 2, 4, 5], array_map(
            fn (BlockDose $block): int => (int) array_search($block->title, array_column($blocks, 'title'), true), $easy->blocks,
        ), 'a target at 70 % waits while the throw is at half');
        $standing = Pace::at(2, 0.5, null)->on($this->rung->with(['blocks' => $blocks]));
        $this->assertDose([1, 2, 2, 0.5, 0.5, null, 8.0], $standing->blocks[2]);
    }

    /** @param  array{int, float, float|null, list<string>}  $expected  repetitions, effort, metres, what was raised */
    private function assertPace(array $expected, Pace $pace, string $why = ''): void
    {
        $this->assertEqualsWithDelta($expected, [$pace->reps, $pace->effort, $pace->distanceM, $pace->raised], 1e-9, $why);
        $this->assertSame($expected[2] === null, $pace->distanceM === null);
    }

    /** @param  list<array{int, float, float|null, list<string>}>  $heavyDays  one after the other, from the start */
    private function assertGrows(BlockDose $own, array $heavyDays): void
    {
        $pace = null;
        foreach ($heavyDays as $i => $expected) {
            $pace = Pace::next($pace, $own, Emphasis::Heavy, begins: false);
            $this->assertPace($expected, $pace, "heavy day {$i}");
        }
    }

    /**
     * @param  array{int, int, int, float, float, float|null, float|null}  $expected  sets, repetitions a set and the least in all; effort
     *                                                                               and its least; metres and their least
     */
    private function assertDose(array $expected, BlockDose $block): void
    {
        $this->assertEqualsWithDelta($expected, [
            $block->sets, $block->reps, $block->repsMin, $block->effort, $block->effortMin, $block->distanceM, $block->distanceMinM,
        ], 1e-9);
    }
}
