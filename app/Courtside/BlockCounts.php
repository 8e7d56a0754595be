<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Courtside\Answers\BlockCountView;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use App\Wording\Wording;
use Augendo\Core\Courtside\TapFold;

/** What of each block that counts was done, beside what was planned. */
final class BlockCounts
{
    /** @return list<BlockCountView> in the order of the sheet */
    public static function of(Sheet $sheet): array
    {
        $done = [];
        foreach (TapFold::standing($sheet->taps()) as $rep) {
            $done[$rep->blockId][] = $rep;
        }

        return $sheet->blocks
            ->filter(fn (SheetBlock $block): bool => $block->asked_reps > 0)
            ->map(fn (SheetBlock $block): BlockCountView => new BlockCountView(
                id: $block->id,
                title: $block->title,
                planned: $block->reps,
                done: count($done[$block->id] ?? []),
                falls: TapFold::falls($done[$block->id] ?? []),
                judged: $block->judged,
                dose: Wording::dose($block->effort, $block->distance_m),
            ))
            ->values()
            ->all();
    }
}
