<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Rung;

final readonly class BuiltSession
{
    /**
     * @param  list<BlockPlan>  $blocks
     * @param  list<Trim>  $trims  in the order they were made
     */
    public function __construct(public array $blocks, public array $trims) {}

    /** Whether a limit took something of what was asked. */
    public function isHeldBackByLimits(): bool
    {
        return array_filter($this->trims, fn (Trim $trim): bool => $trim->cause === 'limit') !== [];
    }

    /** Whether a judged repetition is left: without one it is no session on the rung. */
    public function hasOwnDose(): bool
    {
        return array_filter($this->blocks, fn (BlockPlan $block): bool => $block->asked->judged && $block->reps > 0) !== [];
    }

    /** What the rung asks, whatever the day held: of a session that is over and is only written down. */
    public static function asAsked(Rung $rung): self
    {
        return new self(array_map(fn (BlockDose $dose): BlockPlan => BlockPlan::asAsked($dose), $rung->blocks), []);
    }
}
