<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Instant;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryObject;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Implement;
use Augendo\Core\Mechanics\FocusPoints;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Planning\Equipment;
use Augendo\Core\Planning\Weave;
use PHPUnit\Framework\TestCase;

final class SessionPartsTest extends TestCase
{
    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    public function test_focus_points_are_few_and_what_can_hurt_comes_first(): void
    {
        $fault = fn (string $id, bool $safety = false): Fault => new Fault($id, ucfirst($id), 'checkpoint', 'cue', 'drill', $safety);
        $faults = [$fault('often'), $fault('hurts', true), $fault('once'), $fault('twice'), $fault('thrice'), $fault('never')];
        $rep = fn (?bool $good, ?string $fault): JudgedRep => new JudgedRep(
            Instant::of('2027-03-15T10:00:00Z'), 's', $good, $fault === 'hurts', $fault,
        );
        $seen = fn (string $id, int $times): array => array_fill(0, $times, $rep(false, $id));
        $reps = [
            ...$seen('often', 5), ...$seen('hurts', 1), ...$seen('once', 1), ...$seen('twice', 2),
            ...$seen('thrice', 3), $rep(true, null), $rep(null, null),
        ];
        $this->assertSame(['hurts', 'often', 'thrice'], array_map(fn (Fault $each): string => $each->id, FocusPoints::of($reps, $faults)));
        $this->assertSame([], FocusPoints::of([$rep(true, null), ...$seen('once', 1)], $faults), 'once may be chance');
    }

    public function test_drill_and_whole_take_turns_and_the_whole_keeps_its_repetitions(): void
    {
        $woven = 0;
        foreach ($this->library->ladderIds() as $id) {
            foreach ($this->library->ladder($id)->rungs as $rung) {
                $own = fn (Rung $of): int => array_sum(
                    array_map(fn (BlockDose $block): int => Weave::takesTurns($block) ? $block->sets * $block->reps : 0, $of->blocks),
                );
                $with = Weave::drill($rung, $rung->faults[0]);
                $this->assertSame($own($rung), $own($with), "{$id} {$rung->id}");
                $kinds = array_map(
                    fn (BlockDose $block): string => str_starts_with($block->title, 'Drill: ')
                        ? 'drill'
                        : (Weave::takesTurns($block) ? 'whole' : 'other'),
                    $with->blocks,
                );
                $turns = array_values(array_filter($kinds, fn (string $kind): bool => $kind !== 'other'));
                foreach ($turns as $i => $kind) {
                    $this->assertSame($i % 2 === 0 ? 'drill' : 'whole', $kind);
                }
                $woven += intdiv(count($turns), 2);
                foreach ($with->blocks as $block) {
                    $this->assertTrue(! str_starts_with($block->title, 'Drill: ') || ($block->effort <= 0.5 && ! $block->judged));
                }
            }
        }
        $this->assertGreaterThan(10, $woven);
    }

    public function test_the_drill_comes_before_and_in_the_middle_of_the_sets(): void
    {
        $rung = $this->library->ladder('volleyball-float-serve')->rungs[4];
        $whole = $rung->ownDose();
        $woven = fn (int $sets, int $least): array => array_map(
            fn (BlockDose $block): array => str_starts_with($block->title, 'Drill: ') ? ['drill'] : [$block->sets, $block->repsMin],
            Weave::drill(
                $rung->with(['blocks' => [$whole->with(['sets' => $sets, 'reps' => 8, 'repsMin' => $least])]]), $rung->faults[0],
            )->blocks,
        );
        $this->assertSame([['drill'], [1, 5]], $woven(1, 5));
        $this->assertSame([['drill'], [1, 3], ['drill'], [1, 3]], $woven(2, 5), 'each half keeps its share of the least, rounded up');
        $this->assertSame([['drill'], [2, 8], ['drill'], [1, 4]], $woven(3, 12));
        $this->assertSame([['drill'], [2, 6], ['drill'], [2, 6]], $woven(4, 12));
        $this->assertSame([['drill'], [3, 6], ['drill'], [2, 4]], $woven(5, 10));
    }

    public function test_what_is_not_at_hand_is_swapped_for_something_no_heavier_or_left_out(): void
    {
        $rung = $this->library->ladder('javelin-throw')->rungs[4];
        $objects = $this->library->objects();
        [$same, $swaps] = Equipment::fit($rung, $objects);
        $this->assertSame([[], count($rung->blocks)], [$swaps, count($same->blocks)]);
        [$without, $swaps] = Equipment::fit($rung, []);
        $this->assertNotSame([], $swaps);
        foreach ($without->blocks as $block) {
            $this->assertNull($block->object->massKg, 'only what needs nothing is left');
        }
        $heavy = fn (string $id, float $mass): LibraryObject => new LibraryObject($id, $id, Implement::Standard, $mass, 0.6, true);
        foreach ($rung->blocks as $block) {
            if ($block->object->hard) {
                $asked = (float) $block->object->massKg;
                [$with, $swaps] = Equipment::fit(
                    $rung,
                    ['a' => $heavy('a', $asked * 1.2), 'b' => $heavy('b', $asked * 0.7), 'c' => $heavy('c', $asked * 0.5)],
                );
                $found = array_values(array_filter($swaps, fn (array $swap): bool => $swap[0] === $block))[0];
                $this->assertSame('b', $found[1]?->id, 'the nearest that is no heavier');
            }
        }
    }
}
