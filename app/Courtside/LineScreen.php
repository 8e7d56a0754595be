<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Courtside\Answers\LineHeardView;
use App\People\User;
use App\Sessions\Sheet;
use App\Sessions\Stations;
use App\Sessions\TrainingSession;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Str;

/** What a device that counts a line has to ask for anew. */
final class LineScreen
{
    /**
     * @param  string  $device  whose own taps are no news; whoever does not say who they are hears of all
     * @return list<LineHeardView> for each sheet of the session that the user may see
     */
    public static function news(string $device, TrainingSession $session, User $user): array
    {
        $sheets = Stations::open($session, $user)->sheets();
        $others = RepEvent::query()
            ->whereIn('sheet_id', $sheets->pluck('id'))
            ->when(Str::isUuid($device), fn (Builder $taps) => $taps->where('device', '!=', $device))
            ->selectRaw('sheet_id, count(*) as n')->groupBy('sheet_id')->pluck('n', 'sheet_id');

        return array_values($sheets->map(fn (Sheet $sheet): LineHeardView => new LineHeardView(
            $sheet->id,
            CourtsideScreen::heard($sheet),
            (int) ($others[$sheet->id] ?? 0),
        ))->all());
    }
}
