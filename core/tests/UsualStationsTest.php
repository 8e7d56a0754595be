<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Station;
use Augendo\Core\Planning\UsualStations;
use PHPUnit\Framework\TestCase;

final class UsualStationsTest extends TestCase
{
    private BlockDose $dose;

    protected function setUp(): void
    {
        $this->dose = (new Library(dirname(__DIR__, 2).'/library'))->ladder('overhand-throw')->rungs[0]->ownDose();
    }

    public function test_one_station_for_each_kind_of_work_in_the_order_of_a_session(): void
    {
        $stations = $this->for([
            $this->plan(BlockKind::Target, 12.0), $this->plan(BlockKind::Part, null), $this->plan(BlockKind::WarmUp, 5.0),
            $this->plan(BlockKind::Rehearsal, null), $this->plan(BlockKind::CoolDown, null), $this->plan(BlockKind::Part, 3.0),
        ]);
        $this->assertSame(['rehearsal', 'part', 'target'], array_map(fn (Station $each): string => $each->id, $stations));
        $this->assertSame([[BlockKind::Part], '2 of part', 8, Surface::Soft, false], [
            $stations[1]->kinds, $stations[1]->title, $stations[1]->capacity, $stations[1]->surface, $stations[1]->gloves,
        ]);
        $this->assertSame([], $this->for([]));
        $this->assertSame([], $this->for([$this->plan(BlockKind::Part, null, 0)]), 'nobody works there');
        $this->assertCount(1, $this->for([$this->plan(BlockKind::Part, null, 1)]), 'one repetition is work');
        $this->assertNull(UsualStations::for([$this->plan(BlockKind::Part, null)], null, fn (): string => '')[0]->surface);
    }

    public function test_a_station_reaches_beyond_the_longest_throw_on_it_and_is_never_short(): void
    {
        $long = fn (?float ...$metres): float => $this->for(
            array_map(fn (?float $each): BlockPlan => $this->plan(BlockKind::Whole, $each), array_values($metres)),
        )[0]->lengthM;
        $this->assertSame(10.0, $long(null));
        $this->assertSame(10.0, $long(5.0, null));
        $this->assertSame(11.0, $long(5.1), 'whole metres');
        $this->assertSame(33.0, $long(12.0, 28.0, 7.5));
    }

    public function test_an_adult_stands_where_something_flies_at_full_length_and_no_balls_lie_where_none_is_thrown(): void
    {
        $kinds = [BlockKind::Rehearsal, BlockKind::Part, BlockKind::Whole, BlockKind::Target, BlockKind::GameLike];
        $stations = $this->for(array_map(fn (BlockKind $kind): BlockPlan => $this->plan($kind, 8.0), $kinds));
        $this->assertSame([false, false, true, true, true], array_map(fn (Station $each): bool => $each->needsAdult, $stations));
        $this->assertSame([0, 3, 3, 3, 3], array_map(fn (Station $each): int => $each->ballsEach, $stations));
    }

    /**
     * @param  list<BlockPlan>  $plans
     * @return list<Station>
     */
    private function for(array $plans): array
    {
        return UsualStations::for(
            $plans, Surface::Soft, fn (array $there): string => count($there).' of '.$there[0]->asked->kind->value,
        );
    }

    private function plan(BlockKind $kind, ?float $distanceM, int $reps = 6): BlockPlan
    {
        return new BlockPlan($this->dose->with(['kind' => $kind]), 1, $reps, 0.5, $distanceM);
    }
}
