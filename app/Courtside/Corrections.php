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
use Illuminate\Support\Str;

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
            athlete_id: $sheet->athlete_id,
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
            ->leftJoin('sheets', 'sheets.id', '=', 'corrections.sheet_id')
            ->whereIn('corrections.athlete_id', $user->athletesOf($squad)->select('athletes.id'))
            ->where('lowers', true)
            ->where('made_at', '>=', Carbon::parse($today->plus(-CountChange::SHOWN_DAYS)->iso(), $zone)->utc())
            ->addSelect('athletes.given_name', 'sheets.held_on')
            ->get();

        return $rows->map(fn (object $row): CorrectionView => new CorrectionView(
            sheet_id: $row->sheet_id,
            athlete_id: $row->athlete_id,
            sentence: Wording::countChanged(
                "{$row->given_name}, ".self::about($row),
                (int) array_sum(array_column(json_decode($row->counts, true), 'before')),
                (int) array_sum(array_column(json_decode($row->counts, true), 'after')),
            ).' repetitions.',
            lowers: true,
            reason: $row->reason,
            by: $row->by,
            at: Carbon::parse($row->made_at, 'UTC')->setTimezone($zone)->toIso8601String(),
        ))->all();
    }

    /** Of which day, and what it was where it has no sheet. */
    private static function about(object $row): string
    {
        if ($row->sheet_id !== null) {
            return Wording::day(Day::of(substr($row->held_on, 0, 10)));
        }
        $entry = json_decode($row->entry, true);

        return ($entry['day'] === null ? '' : Wording::day(Day::of($entry['day'])).', ').Wording::takenBack($entry['source']);
    }

    /**
     * An entry without a sheet was taken back, and its load with it.
     *
     * @param  array{source: string, day: string|null}  $entry  source as work has it
     */
    public static function ofEntry(string $athleteId, array $entry, int $reps, string $reason, User $by): void
    {
        DB::table('corrections')->insert([
            'id' => (string) Str::uuid7(), 'athlete_id' => $athleteId, 'sheet_id' => null,
            'entry' => json_encode($entry, JSON_THROW_ON_ERROR),
            'counts' => json_encode(['entry' => ['before' => $reps, 'after' => 0]], JSON_THROW_ON_ERROR),
            'lowers' => true, 'reason' => $reason, 'made_by' => $by->id, 'made_at' => Carbon::now(),
        ]);
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
