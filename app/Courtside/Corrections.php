<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Squad;
use App\Courtside\Answers\CorrectionView;
use App\People\User;
use App\Sessions\Sheet;
use App\Wording\Wording;
use Augendo\Core\Courtside\CountChange;
use Augendo\Core\Day;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Counts that were put right: what stood there, what stands there now, who and why. */
final class Corrections
{
    /** @return list<CorrectionView> of one sheet, the latest first */
    public static function ofSheet(Sheet $sheet, User $user): array
    {
        $titles = $sheet->blocks->pluck('title', 'id');
        $rows = self::query()->where('sheet_id', $sheet->id)->get();

        return $rows->map(fn (object $row): CorrectionView => new CorrectionView(
            sheet_id: $sheet->id,
            sentence: implode(', ', array_map(
                fn (array $count, string $block): string => Wording::countChanged(
                    $titles[$block] ?? 'a block', $count['before'], $count['after'],
                ),
                $counts = json_decode($row->counts, true),
                array_keys($counts),
            )).'.',
            lowers: (bool) $row->lowers,
            reason: $row->reason,
            by: $row->by,
            at: Carbon::parse($row->made_at, 'UTC')->setTimezone($user->workspace->timezone)->toIso8601String(),
        ))->all();
    }

    /** @return list<CorrectionView> that gave somebody of a squad more room in the last days, the latest first */
    public static function lately(User $user, Squad $squad, Day $today): array
    {
        $zone = $user->workspace->timezone;
        $rows = self::query()
            ->join('athletes', 'athletes.id', '=', 'corrections.athlete_id')
            ->join('sheets', 'sheets.id', '=', 'corrections.sheet_id')
            ->whereIn('corrections.athlete_id', $user->athletesOf($squad)->select('athletes.id'))
            ->where('lowers', true)
            ->where('made_at', '>=', Carbon::parse($today->plus(-CountChange::SHOWN_DAYS)->iso(), $zone)->utc())
            ->addSelect('athletes.given_name', 'sheets.held_on')
            ->get();

        return $rows->map(fn (object $row): CorrectionView => new CorrectionView(
            sheet_id: $row->sheet_id,
            sentence: Wording::countChanged(
                "{$row->given_name}, ".Wording::day(Day::of(substr($row->held_on, 0, 10))),
                (int) array_sum(array_column(json_decode($row->counts, true), 'before')),
                (int) array_sum(array_column(json_decode($row->counts, true), 'after')),
            ).' repetitions.',
            lowers: true,
            reason: $row->reason,
            by: $row->by,
            at: Carbon::parse($row->made_at, 'UTC')->setTimezone($zone)->toIso8601String(),
        ))->all();
    }

    private static function query(): Builder
    {
        return DB::table('corrections')
            ->join('users', 'users.id', '=', 'corrections.made_by')
            ->orderByDesc('made_at')
            ->orderByDesc('corrections.id')
            ->select('corrections.*', 'users.name as by');
    }
}
