<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Cards;
use App\Courtside\Answers\BlockCountView;
use App\Courtside\Answers\PaperRowView;
use App\People\User;
use App\Sessions\Sheet;
use App\Sessions\Stations;
use App\Sessions\TrainingSession;
use Illuminate\Database\Eloquent\Collection;

/** What was ticked on paper, to be entered for all of a session. */
final class PaperScreen
{
    /** @return list<PaperRowView> */
    public static function rows(TrainingSession $session, User $user): array
    {
        $sheets = new Collection(Stations::open($session, $user)->sheets()->all());

        return array_values($sheets->load('events')->map(self::row(...))->all());
    }

    private static function row(Sheet $sheet): PaperRowView
    {
        $blocks = BlockCounts::of($sheet);

        return new PaperRowView(
            sheet_id: $sheet->id,
            athlete: Cards::athlete($sheet->athlete, $sheet->day()),
            counted: array_sum(array_map(fn (BlockCountView $block): int => $block->done, $blocks)) > 0,
            blocks: array_values(array_filter($blocks, fn (BlockCountView $block): bool => $block->planned > 0)),
        );
    }
}
