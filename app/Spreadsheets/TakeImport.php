<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\Athletes\Roster;
use App\Courtside\DailyTotals;
use App\Records\Alone;
use Augendo\Core\Spreadsheets\Kind;
use Augendo\Core\Spreadsheets\Verdict;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** All that is new in a spreadsheet is put on record, in one transaction: all of it, or nothing. */
final class TakeImport extends ImportJob
{
    private const TRIES = 3;

    private const COLUMNS = [
        'client_id', 'athlete_id', 'day', 'session', 'source', 'skill', 'reps', 'effort', 'object', 'implement', 'side',
        'distance_m', 'legs',
        'count_reps', 'shadow', 'high_reps', 'metres', 'arm', 'hand', 'trunk', 'landings',
    ];

    protected function begins(): ImportState
    {
        return ImportState::Taking;
    }

    protected function stopsAt(): ImportState
    {
        return ImportState::Judged;
    }

    protected function work(Import $import): void
    {
        match ($import->kind) {
            Kind::Work => $this->takeWork($import),
            Kind::Athletes => $this->takeAthletes($import),
        };
        self::clear($import);
    }

    /** Rows as they stood in the file hold names of people who may be nobody's business here: they go. */
    public static function clear(Import $import): void
    {
        foreach (['import_sets', 'import_rows'] as $table) {
            DB::table($table)->where('import_id', $import->id)->delete();
        }
    }

    private function takeWork(Import $import): void
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $ids = DB::table('import_sets')->where('import_id', $import->id)->distinct()->pluck('athlete_id')->sort()->values()->all();
            if (JudgeWork::revision($ids) !== ($import->found['revision'] ?? null)) {
                $seen = $import->found['counts'] ?? [];
                JudgeImport::judge($import);
                if ($import->found['counts'] !== $seen) {
                    throw new ImportStopped(ImportFault::ChangedMeanwhile);
                }
            }
            $taken = Alone::with(
                $ids,
                fn (): bool => JudgeWork::revision($ids) === $import->found['revision'] && $this->putOnRecord($import),
            );
            if ($taken) {
                return;
            }
        }
        throw new ImportStopped(ImportFault::ChangedMeanwhile);
    }

    private function putOnRecord(Import $import): bool
    {
        $rows = fn (): Builder => DB::table('import_rows')->where('import_id', $import->id);
        $also = array_map(intval(...), $import->choices['also'] ?? []);
        $taken = fn (Builder $sets): Builder => $sets->where('import_id', $import->id)->where(
            fn (Builder $those) => $those
                ->whereIn('line', $rows()->where('verdict', Verdict::Fresh->value)->select('line'))
                ->orWhereIn('line', $rows()->where('verdict', Verdict::Differs->value)->whereIn('line', $also)->select('line')),
        );
        DB::table('work_sets')->insertUsing(
            [...self::COLUMNS, 'import_id'],
            $taken(DB::table('import_sets'))->select([...self::COLUMNS, 'import_id']),
        );
        $days = $taken(DB::table('import_sets'))->distinct()->get(['athlete_id', 'day']);
        DailyTotals::refreshDays($days);
        WorkBroughtIn::follow($import, $days->pluck('athlete_id')->unique()->values()->all(), 'work brought in', []);
        $import->update(['state' => ImportState::Taken, 'taken_at' => Carbon::now(), 'done' => $import->rows]);

        return true;
    }

    private function takeAthletes(Import $import): void
    {
        $by = $import->maker;
        Alone::inClub($import->workspace_id, function () use ($import, $by): void {
            $squad = $by->visibleSquads()->find($import->choices()->squadId) ?? throw new ImportStopped(ImportFault::SquadIsGone);
            $seen = $import->found['counts'] ?? [];
            // Somebody may have added one of them by hand meanwhile.
            JudgeImport::judge($import);
            if ($import->found['counts'] !== $seen) {
                throw new ImportStopped(ImportFault::ChangedMeanwhile);
            }
            $judge = app(JudgeAthletes::class);
            $rows = new ImportRows($import);
            $told = $rows->dateOrder($import->choices()) ?: null;
            foreach ($rows->query()->where('verdict', Verdict::Fresh->value)->orderBy('line')->pluck('cells') as $cells) {
                $person = $judge->person($import, json_decode($cells, true), $told);
                app(Roster::class)->addAthlete($squad, [...$person, 'id' => (string) Str::uuid7(), 'import_id' => $import->id], $by);
            }
            $import->update(['state' => ImportState::Taken, 'taken_at' => Carbon::now(), 'done' => $import->rows]);
        });
    }
}
