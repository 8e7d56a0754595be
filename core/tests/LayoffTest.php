<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\Layoff;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Idle time is counted for each part and side, and ended only by a quarter of the rung's own dose. */
final class LayoffTest extends TestCase
{
    private const ON = '2027-05-20';

    /**
     * @return iterable<string, array{list<array{int, string, int, array<string, mixed>}>, int|null}> days ago, skill,
     *         repetitions, and whatever else
     */
    public static function records(): iterable
    {
        yield 'no record at all' => [[], null];
        yield 'yesterday, the whole dose' => [[[1, 'jump-serve', 20, []]], 0];
        yield 'one pass yesterday ends nothing' => [[[60, 'jump-serve', 20, []], [1, 'pass', 1, []]], 59];
        yield 'shadow repetitions end nothing' => [
            [[60, 'jump-serve', 20, []], [1, 'jump-serve', 60, ['implement' => Implement::Shadow]]],
            59,
        ];
        yield 'threw yesterday, has not jumped for sixty days' => [[[60, 'jump-serve', 20, []], [1, 'overhand-throw', 40, []]], 59];
        yield 'jumped yesterday, has not thrown' => [[[40, 'jump-serve', 20, []], [1, 'jump', 40, []]], 39];
        yield 'the other arm yesterday' => [[[20, 'jump-serve', 20, []], [1, 'jump-serve', 20, ['side' => Side::Other]]], 19];
        yield 'less than a quarter of the dose' => [[[10, 'jump-serve', 20, []], [2, 'jump-serve', 3, []]], 9];
        yield 'a quarter of the dose' => [[[10, 'jump-serve', 20, []], [2, 'jump-serve', 12, []]], 1];
        yield 'has thrown, and never jumped' => [[[1, 'overhand-throw', 40, []]], null];
    }

    /** @param  list<array{int, string, int, array<string, mixed>}>  $did */
    #[DataProvider('records')]
    public function test_how_long_a_jump_serve_has_rested(array $did, ?int $idle): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $on = Day::of(self::ON);
        $price = new SetCost(new AthleteProfile($on->plus(-9000)));
        $record = new LoadRecord(array_map(fn (array $set): CostedSet => $price->of(new WorkSet(...[
            'day' => $on->plus(-$set[0]), 'session' => 's', 'skill' => $library->skills()[$set[1]], 'reps' => $set[2],
            'effort' => 0.9, 'implement' => Implement::Standard, 'distanceM' => null, 'surface' => Surface::Firm,
            ...$set[3],
        ])), $did));
        $rung = $library->ladder('volleyball-jump-serve')->rung('whole')
            ?? $library->ladder('volleyball-jump-serve')->rungs[count($library->ladder('volleyball-jump-serve')->rungs) - 1];
        $this->assertSame($idle, Layoff::of($record, $on, $rung, $price)->idleDays(Side::Dominant));
    }

    public function test_the_other_side_is_idle_by_its_own_dose(): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $on = Day::of(self::ON);
        $price = new SetCost(new AthleteProfile($on->plus(-9000)));
        $rung = $library->ladder('volleyball-float-serve')->rung('line');
        $this->assertNotNull($rung);
        $own = $rung->leadingDose(Side::Other);
        $this->assertSame(Side::Other, $own?->side);
        $record = new LoadRecord([
            $price->of(
                new WorkSet(
                    $on->plus(-3), 's', $own->skill, $own->sets * $own->reps, $own->effort, $own->object->implement,
                    $own->distanceM, side: Side::Other, surface: $own->surface,
                ),
            ),
        ]);
        $this->assertSame(2, Layoff::of($record, $on, $rung, $price)->idleDays(Side::Other));
        $this->assertNull(Layoff::of($record, $on, $rung, $price)->idleDays(Side::Dominant));
    }

    public function test_a_declared_week_that_is_spread_thin_ends_an_idle_time(): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $on = Day::of(self::ON);
        $price = new SetCost(new AthleteProfile($on->plus(-9000)));
        $rung = $library->ladder('volleyball-float-serve')->rungs[count($library->ladder('volleyball-float-serve')->rungs) - 1];
        $zero = $price->of(new WorkSet($on, '', $library->skills()['overhand-throw'], 0, 0.5, Implement::Standard, null))->cost;
        $declared = new CostedSet(
            $on->plus(-3)->ordinal,
            '',
            'overhand-throw',
            $library->skills()['overhand-throw']->family,
            Side::Dominant,
            Implement::Standard,
            [...$zero, 'arm' => 0.4],
            0.0,
            null,
        );
        $this->assertSame(2, Layoff::of(new LoadRecord([$declared]), $on, $rung, $price)->idleDays(Side::Dominant));
    }
}
