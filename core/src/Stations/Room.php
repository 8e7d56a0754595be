<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Rung;

/** A rung in the spaces there are: shorter where that will do, its indoor block where nothing of it can be thrown, or without it. */
final class Room
{
    /**
     * @param  list<Space>  $spaces  none: nobody has said, and whatever a dose asks for is taken to be there
     * @return array{Rung, list<RoomChange>} the rung, and what became of each block no space can hold
     */
    public static function fit(Rung $rung, array $spaces): array
    {
        $blocks = $changes = [];
        $indoor = $rung->indoor !== null && self::longestM($rung->indoor, $spaces) >= self::asksM($rung->indoor) ? $rung->indoor : null;
        foreach ($spaces === [] ? [] : $rung->blocks as $block) {
            $longestM = self::longestM($block, $spaces);
            if (self::asksM($block) <= $longestM) {
                $blocks[] = $block;

                continue;
            }
            $changes[] = $change = match (true) {
                // Nobody throws a full implement at a wall: what flies far is not shortened, it waits for the field.
                ! $block->object->far && ($block->distanceMinM ?? $block->distanceM) <= $longestM => RoomChange::shorter(
                    $block,
                    // In halves, as somebody paces it.
                    max($block->distanceMinM ?? 0.0, floor($longestM * 2) / 2),
                ),
                $block->kind === BlockKind::WarmUp => RoomChange::nothingThrown($block),
                $block->judged && $indoor !== null => RoomChange::indoors($block, $indoor),
                default => RoomChange::out($block),
            };
            $indoor = $change->how === 'indoors' ? null : $indoor;
            $blocks = [...$blocks, ...array_filter([$change->instead])];
        }

        return [$changes === [] ? $rung : $rung->with(['blocks' => $blocks]), $changes];
    }

    /** @return float metres a block needs in front of the thrower; 0: it needs none */
    private static function asksM(BlockDose $block): float
    {
        return $block->reps > 0 && $block->object->massKg !== null ? $block->distanceM ?? 0.0 : 0.0;
    }

    /**
     * @param  list<Space>  $spaces
     * @return float metres of the longest space it may be thrown in; below 0: none is one, whatever it asks
     */
    private static function longestM(BlockDose $block, array $spaces): float
    {
        $may = array_filter($spaces, fn (Space $space): bool => $space->sector || ! $block->object->far || $block->reps === 0);
        $lengths = array_map(fn (Space $space): float => $space->lengthM - Space::MARGIN_M, array_values($may));

        return $lengths === [] ? -1.0 : max([0.0, ...$lengths]) + 1e-9;
    }
}
