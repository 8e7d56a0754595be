<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\DrillAbout;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;

/** Work picked one after the other, as long as there is time: the working table of OtherWork. */
final class WorkPicked
{
    /** @var list<WorkSource> */
    private array $picked = [];

    /** @param  list<BlockPlan>  $kept  what stays of the sheet */
    public function __construct(private readonly Allowed $allowed, private readonly array $kept, private readonly int $seconds) {}

    public function secondsLeft(): int
    {
        return $this->seconds - SessionClock::seconds($this->plans());
    }

    /** The blocks of another ladder's rung that may be done; one warm-up and one cool-down are enough. */
    public function ladder(OnLadder $at, Layoff $layoff): void
    {
        foreach ($at->rung->blocks as $dose) {
            $once = $dose->kind === BlockKind::WarmUp || $dose->kind === BlockKind::CoolDown;
            if ($this->allowed->allows($dose) && ! ($once && $this->has($dose->kind))) {
                $this->picked[] = new WorkSource($dose, 'ladder', $at->ladder->id, $at->rung->id, layoff: $layoff);
            }
        }
    }

    /**
     * Whoever has lost the warm-up with the work is given one that loads nothing sore.
     *
     * @param  list<Drill>  $drills
     */
    public function warmUp(array $drills, OnLadder $own): void
    {
        if ($this->has(BlockKind::WarmUp)) {
            return;
        }
        foreach ($drills as $drill) {
            if ($drill->about === DrillAbout::WarmUp && $drill->isFor([$own->ladder->skill]) && $this->allowed->allows($drill->dose)) {
                $this->picked[] = self::drill($drill);

                return;
            }
        }
    }

    /**
     * Of the ladder itself: what was rehearsed with nothing in the hand on this rung and those below it, and its own dose on the other
     * side, easily.
     */
    public function ownLadder(OnLadder $own, float $easyEffort): void
    {
        $dose = $own->rung->leadingDose();
        if ($dose !== null && ! $this->has(BlockKind::OtherSide)) {
            $other = $dose->onSide(Side::Other)->with([
                'kind' => BlockKind::OtherSide,
                'sets' => 1,
                'repsMin' => min($dose->repsMin, $dose->reps),
                'effort' => min($dose->effort, $easyEffort),
                'effortMin' => min($dose->effortMin, $easyEffort),
            ]);
            $this->whereItFits(new WorkSource($other, 'other_side', $own->ladder->id, $own->rung->id));
        }
        foreach (array_slice($own->ladder->rungs, 0, (int) $own->ladder->position($own->rung->id) + 1) as $rung) {
            foreach ($rung->blocks as $block) {
                $rehearsed = $block->kind === BlockKind::Rehearsal && $block->object->massKg === null;
                if ($rehearsed && ! $this->isThere($block)) {
                    $this->whereItFits(new WorkSource($block, 'own', $own->ladder->id, $rung->id));
                }
            }
        }
    }

    /**
     * What moves, then what is looked at and thought.
     *
     * @param  list<Drill>  $drills
     * @param  list<OnLadder>  $ladders  the drills of whose skills the athlete knows
     */
    public function drills(array $drills, array $ladders): void
    {
        $known = array_map(fn (OnLadder $at): Skill => $at->ladder->skill, $ladders);
        foreach (DrillAbout::cases() as $about) {
            foreach ($drills as $drill) {
                if ($drill->about === $about && $about->isOffered() && $drill->isFor($known)) {
                    $this->whereItFits(self::drill($drill));
                }
            }
        }
    }

    /** @return list<WorkSource> in the order of a session */
    public function inOrder(): array
    {
        $picked = $this->picked;
        usort($picked, fn (WorkSource $a, WorkSource $b): int => $a->dose->kind->place() <=> $b->dose->kind->place());

        return $picked;
    }

    /** Nobody has to be used to what neither throws nor lands. */
    private static function drill(Drill $drill): WorkSource
    {
        return new WorkSource($drill->dose, 'drill', name: $drill->id, layoff: Layoff::days(0));
    }

    private function whereItFits(WorkSource $source): void
    {
        if ($this->allowed->allows($source->dose)) {
            $this->picked[] = $source;
            if ($this->secondsLeft() < 0) {
                array_pop($this->picked);
            }
        }
    }

    private function has(BlockKind $kind): bool
    {
        return array_filter($this->plans(), fn (BlockPlan $plan): bool => $plan->asked->kind === $kind) !== [];
    }

    private function isThere(BlockDose $dose): bool
    {
        return array_filter($this->plans(), fn (BlockPlan $plan): bool => $plan->asked->title === $dose->title) !== [];
    }

    /** @return list<BlockPlan> */
    private function plans(): array
    {
        return [
            ...$this->kept,
            ...array_map(fn (WorkSource $source): BlockPlan => BlockPlan::asAsked($source->dose), $this->picked),
        ];
    }
}
