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
     * @return array{Rung, list<array{BlockDose, BlockDose|null}>} the rung, and what became of each block no space can hold; null: left out
     */
    public static function fit(Rung $rung, array $spaces): array
    {
        if ($spaces === []) {
            return [$rung, []];
        }
        $blocks = $changes = [];
        $isIndoors = false;
        foreach ($rung->blocks as $block) {
            $fits = self::inSpaces($block, $spaces);
            if ($fits === $block) {
                $blocks[] = $block;

                continue;
            }
            if ($fits === null && $block->kind === BlockKind::WarmUp) {
                // The body is warmed up all the same, nothing is thrown.
                $fits = $block->with(['sets' => 1, 'reps' => 0, 'repsMin' => 0, 'distanceM' => null, 'distanceMinM' => null]);
            } elseif ($fits === null && $block->judged && ! $isIndoors && self::isIndoors($rung, $spaces)) {
                $fits = $rung->indoor;
                $isIndoors = true;
            }
            $changes[] = [$block, $fits];
            if ($fits !== null) {
                $blocks[] = $fits;
            }
        }

        return [$changes === [] ? $rung : $rung->with(['blocks' => $blocks]), $changes];
    }

    /** @param  list<Space>  $spaces */
    private static function isIndoors(Rung $rung, array $spaces): bool
    {
        return $rung->indoor !== null && self::inSpaces($rung->indoor, $spaces) === $rung->indoor;
    }

    /**
     * @param  list<Space>  $spaces
     * @return BlockDose|null as it is, or shorter, down to its least distance; null: nowhere
     */
    private static function inSpaces(BlockDose $block, array $spaces): ?BlockDose
    {
        if ($block->reps === 0 || $block->object->massKg === null || ($block->distanceM === null && ! $block->object->far)) {
            return $block;
        }
        $may = array_filter($spaces, fn (Space $space): bool => $space->sector || ! $block->object->far);
        $longest = $may === [] ? null : max(array_map(fn (Space $space): float => $space->lengthM, $may)) - Space::MARGIN_M;

        return match (true) {
            $longest === null => null,
            $block->distanceM === null || $block->distanceM <= $longest + 1e-9 => $block,
            // Nobody throws a full implement at a wall: what flies far is not shortened, it waits for the field.
            ! $block->object->far && ($block->distanceMinM ?? $block->distanceM) <= $longest + 1e-9 => $block->with([
                // In halves, as somebody paces it.
                'distanceM' => max($block->distanceMinM ?? 0.0, floor($longest * 2) / 2),
            ]),
            default => null,
        };
    }
}
