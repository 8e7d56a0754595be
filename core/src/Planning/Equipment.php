<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\LibraryObject;
use Augendo\Core\Library\Rung;

/** A rung with what is at hand: another object no heavier than the one asked for, or the block without it. */
final class Equipment
{
    /** Something else may stand in when it weighs at least this share of what was asked for. */
    private const LEAST_SHARE = 0.3;

    /**
     * @param  array<string, LibraryObject>  $atHand  by id; nothing and the body always are
     * @return array{Rung, list<array{BlockDose, LibraryObject|null}>} the rung, and what was swapped for what; null: left out
     */
    public static function fit(Rung $rung, array $atHand): array
    {
        $swaps = [];
        $blocks = [];
        foreach ($rung->blocks as $block) {
            $mass = $block->object->massKg;
            if ($mass === null || isset($atHand[$block->object->id])) {
                $blocks[] = $block;

                continue;
            }
            $stand = null;
            foreach ($atHand as $object) {
                $fits = $object->massKg !== null
                    && $object->massKg <= $mass
                    && $object->massKg >= self::LEAST_SHARE * $mass
                    && $object->hard === $block->object->hard;
                if ($fits && ($stand === null || $object->massKg > $stand->massKg)) {
                    $stand = $object;
                }
            }
            $swaps[] = [$block, $stand];
            if ($stand !== null) {
                $blocks[] = $block->with(['object' => $stand]);
            }
        }

        return [
            $rung->with(['blocks' => $blocks]),
            $swaps,
        ];
    }
}
