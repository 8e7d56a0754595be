<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockKind;

/** How long a session takes. Our own round estimates: one repetition with its feed and the walk back, by the kind of block. */
final class SessionClock
{
    private const CHANGE_OVER_S = 45;

    /** Blocks that count nothing: loosening up, cooling down. */
    private const UNCOUNTED_S = ['warm_up' => 360, 'cool_down' => 240];

    private const OTHER_UNCOUNTED_S = 120;

    /** @param  array<int, BlockPlan>  $blocks */
    public static function seconds(array $blocks): int
    {
        $seconds = 0;
        foreach ($blocks as $block) {
            $own = self::blockSeconds($block);
            $seconds += $own === 0 ? 0 : $own + self::CHANGE_OVER_S;
        }

        return max(0, $seconds - self::CHANGE_OVER_S);
    }

    /**
     * @param  list<list<BlockPlan>>  $doses  of everybody
     * @return int whole minutes of the longest that anybody has of a kind: done together, nobody goes before the last has finished
     */
    public static function longestMin(array $doses, BlockKind $kind): int
    {
        $seconds = [0];
        foreach ($doses as $own) {
            $of = array_filter($own, fn (BlockPlan $plan): bool => $plan->asked->kind === $kind);
            $seconds[] = array_sum(array_map(self::blockSeconds(...), $of));
        }

        return (int) ceil(max($seconds) / 60);
    }

    public static function blockSeconds(BlockPlan $block): int
    {
        $dose = $block->asked;
        if ($dose->reps === 0) {
            return self::UNCOUNTED_S[$dose->kind->value] ?? self::OTHER_UNCOUNTED_S;
        }
        if ($block->reps === 0) {
            return 0;
        }
        // A warm-up loosens the whole body before the easy repetitions begin.
        $before = $dose->kind === BlockKind::WarmUp ? self::UNCOUNTED_S['warm_up'] : 0;
        $each = max(self::repSeconds($dose->kind), ($dose->holdS ?? 0) + 2);

        return $before + $block->reps * $each + (count($block->repsBySet()) - 1) * $dose->restS;
    }

    private static function repSeconds(BlockKind $kind): int
    {
        return match ($kind) {
            BlockKind::WarmUp, BlockKind::Rehearsal => 5,
            BlockKind::Part, BlockKind::OtherSide => 8,
            BlockKind::Whole => 12,
            BlockKind::Target, BlockKind::GameLike => 15,
            BlockKind::CoolDown => 5,
        };
    }
}
