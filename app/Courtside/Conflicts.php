<?php

declare(strict_types=1);

namespace App\Courtside;

use App\People\User;
use App\Sessions\Sheet;
use App\Wording\JudgingWording;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;

/** Where two devices say different things of one sheet. */
final class Conflicts
{
    /** @return list<string> where two devices say different things of a sheet, or counted the same set at once */
    public static function of(Sheet $sheet, User $user): array
    {
        $taps = $sheet->taps();
        [$changed, $counted] = [TapFold::changedTwice($taps), TapFold::countedTwice($taps)];
        if ($changed === [] && $counted === []) {
            return [];
        }
        $names = User::query()->where('workspace_id', $user->workspace_id)->pluck('name', 'id')->all();
        $who = fn (Tap $event): string => $names[$event->by ?? 0] ?? 'somebody';
        $block = fn (Tap $event): string => "“{$sheet->blocks->firstWhere('id', $event->blockId)?->title}”. ";
        $said = fn (Tap $event): ?string => $event->kind === 'withdraw' ? null : match ($event->isGood()) {
            true => 'good',
            false => 'not good'.($event->fault === null ? '' : " ({$event->fault})"),
            null => 'not seen',
        };

        return [
            ...array_map(fn (array $each): string => $block($each[0]).JudgingWording::twoWords($each[0]->setNo, array_map(
                fn (Tap $event): array => ['who' => $who($event), 'at' => substr($event->at->text, 11, 5), 'said' => $said($event)],
                $each[1],
            )), $changed),
            ...array_map(fn (array $each): string => $block($each[0][0]).JudgingWording::countedTwice(
                $each[0][0]->setNo, [[$who($each[0][0]), count($each[0])], [$who($each[1][0]), count($each[1])]],
            ), $counted),
        ];
    }
}
