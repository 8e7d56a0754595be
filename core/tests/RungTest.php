<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use LogicException;
use PHPUnit\Framework\TestCase;

/** What a rung says of itself: what it loads, on what floor, which dose leads, what is looked for. */
final class RungTest extends TestCase
{
    private Ladder $ladder;

    private Rung $rung;

    protected function setUp(): void
    {
        $this->ladder = (new Library(dirname(__DIR__, 2).'/library'))->ladder('volleyball-float-serve');
        $this->rung = $this->ladder->rungs[2];
    }

    /** @param  array<string, mixed>  $with */
    private function block(BlockKind $kind, int $reps, array $with = []): BlockDose
    {
        return $this->rung->ownDose()->with([
            'kind' => $kind, 'title' => $kind->value, 'sets' => 1, 'reps' => $reps, 'judged' => false, 'side' => Side::Dominant, ...$with,
        ]);
    }

    private function of(BlockDose ...$blocks): Rung
    {
        return $this->rung->with(['blocks' => array_values($blocks)]);
    }

    public function test_the_own_dose_is_the_judged_one_of_the_kind_that_comes_nearest_to_the_whole_skill(): void
    {
        $judged = fn (BlockKind $kind): BlockDose => $this->block($kind, 5, ['judged' => true]);
        $all = [
            $judged(BlockKind::Rehearsal), $judged(BlockKind::Part), $judged(BlockKind::GameLike), $judged(BlockKind::Target),
            $judged(BlockKind::Whole),
        ];
        foreach ([BlockKind::Whole, BlockKind::Target, BlockKind::GameLike, BlockKind::Part, BlockKind::Rehearsal] as $kind) {
            $this->assertSame($kind, $this->of(...$all)->ownDose()->kind);
            $all = array_values(array_filter($all, fn (BlockDose $each): bool => $each->kind !== $kind));
        }
        $this->expectException(LogicException::class);
        $this->of($this->block(BlockKind::Whole, 5))->ownDose();
    }

    public function test_without_a_judged_dose_the_largest_that_is_counted_leads_and_never_the_warm_up(): void
    {
        $rung = $this->of($this->block(BlockKind::WarmUp, 40), $this->block(BlockKind::Part, 6), $this->block(BlockKind::Target, 9));
        $this->assertSame(BlockKind::Target, $rung->leadingDose()?->kind);
        $twoSets = $this->block(BlockKind::Part, 6, ['sets' => 2]);
        $nine = $this->block(BlockKind::Part, 9);
        foreach ([$this->of($nine, $twoSets), $this->of($twoSets, $nine)] as $rung) {
            $this->assertSame($twoSets, $rung->leadingDose(), 'twelve in all');
        }
        $this->assertNull($this->of($this->block(BlockKind::WarmUp, 40), $this->block(BlockKind::CoolDown, 0))->leadingDose());
    }

    public function test_the_leading_dose_of_a_side_is_its_own_or_the_other_mirrored(): void
    {
        $whole = $this->block(BlockKind::Whole, 9, ['judged' => true]);
        $other = $this->block(BlockKind::OtherSide, 4, ['side' => Side::Other]);
        $rung = $this->of($whole, $other);
        $this->assertSame($whole, $rung->leadingDose(Side::Dominant));
        $this->assertSame($other, $rung->leadingDose(Side::Other));
        $mirrored = $this->of($whole)->leadingDose(Side::Other);
        $this->assertSame([Side::Other, 9], [$mirrored?->side, $mirrored?->reps]);
        $this->assertNull($this->of($this->block(BlockKind::CoolDown, 0))->leadingDose(Side::Other));
    }

    public function test_it_loads_what_its_counted_blocks_load_each_once(): void
    {
        $loads = fn (Channel ...$channels): array => ['loads' => array_values($channels)];
        $rung = $this->of(
            $this->block(BlockKind::WarmUp, 5, $loads(Channel::Trunk)),
            $this->block(BlockKind::Whole, 5, $loads(Channel::Arm, Channel::Trunk)),
            $this->block(BlockKind::CoolDown, 0, $loads(Channel::Landing)),
        );
        $this->assertSame([Channel::Trunk, Channel::Arm], $rung->loadedChannels());
        $this->assertSame($this->rung->ownDose()->skill->loadedChannels(), $this->block(BlockKind::Whole, 5)->loadedChannels());
    }

    public function test_only_what_lands_changes_with_the_floor(): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $jump = $library->ladder('block-jump-landing');
        foreach ($jump->onFloor(Surface::Hard)->rungs as $i => $rung) {
            foreach ($rung->blocks as $j => $block) {
                $lands = $block->skill->landingsPerRep > 0;
                $this->assertSame($lands ? Surface::Hard : $jump->rungs[$i]->blocks[$j]->surface, $block->surface);
            }
        }
        foreach ($jump->rungs[0]->onFloor(null)->blocks as $block) {
            if ($block->skill->landingsPerRep > 0) {
                $this->assertNull($block->surface, 'not known is not soft');
            }
        }
    }

    public function test_evidence_goes_on_where_the_same_is_looked_for_and_the_same_can_hurt(): void
    {
        $checkpoints = $this->rung->checkpoints;
        $faults = $this->rung->faults;
        $this->assertTrue($this->rung->judgesLike($this->rung->with(['name' => 'Another name', 'blocks' => []])));
        $this->assertTrue($this->rung->judgesLike($this->rung->with(['checkpoints' => array_reverse($checkpoints)])));
        $this->assertFalse($this->rung->judgesLike($this->rung->with(['checkpoints' => array_slice($checkpoints, 1)])));
        $hurts = new Fault('hurts', 'Hurts', $checkpoints[0]->id, 'cue', 'drill', true);
        $this->assertFalse($this->rung->judgesLike($this->rung->with(['faults' => [...$faults, $hurts]])));
        $harmless = new Fault('harmless', 'Harmless', $checkpoints[0]->id, 'cue', 'drill', false);
        $this->assertTrue($this->rung->judgesLike($this->rung->with(['faults' => [...$faults, $harmless]])));
        $looked = $this->rung->with(['checkpoints' => [...$checkpoints, new Checkpoint('hurts', 'Hurts', 'It does not')]]);
        $this->assertFalse($looked->judgesLike($this->rung->with(['faults' => [...$faults, $hurts]])), 'these are two things');
        $this->assertSame($faults[1], $this->rung->fault($faults[1]->id));
        $this->assertNull($this->rung->fault('no such fault'));
    }

    public function test_rungs_are_found_by_their_place_on_the_ladder(): void
    {
        [$first, $second] = $this->ladder->rungs;
        $last = $this->ladder->rungs[count($this->ladder->rungs) - 1];
        $this->assertSame([0, 1, null], array_map($this->ladder->position(...), [$first->id, $second->id, 'no such rung']));
        $this->assertSame([$second, null, null], array_map($this->ladder->after(...), [$first->id, $last->id, 'no such rung']));
        $this->assertSame([null, $first, null], array_map($this->ladder->before(...), [$first->id, $second->id, 'no such rung']));
        $this->assertSame([$second, null], array_map($this->ladder->rung(...), [$second->id, 'no such rung']));
        $gameLike = $first->with(['blocks' => [$this->block(BlockKind::GameLike, 5, ['judged' => true])]]);
        $this->assertTrue($this->ladder->with(['rungs' => [$second, $gameLike]])->judgesGameLike());
        foreach ([['judged' => false], ['kind' => BlockKind::Whole]] as $with) {
            $not = $first->with(['blocks' => [$gameLike->blocks[0]->with($with)]]);
            $this->assertFalse($this->ladder->with(['rungs' => [$not]])->judgesGameLike());
        }
    }
}
