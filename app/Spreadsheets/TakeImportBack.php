<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\Athletes\Athlete;
use App\Athletes\Privacy;
use App\Courtside\Corrections;
use App\Courtside\DailyTotals;
use App\Records\Alone;
use App\Records\Audit;
use Augendo\Core\Spreadsheets\Kind;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Everything that came with a spreadsheet goes again, in one transaction. */
final class TakeImportBack extends ImportJob
{
    /** What everybody in a squad has, record or not; and that something was taken back, when nothing else is there any more. */
    private const NO_RECORD = ['athlete_squad', 'corrections'];

    protected function begins(): ImportState
    {
        return ImportState::TakingBack;
    }

    protected function stopsAt(): ImportState
    {
        return ImportState::Taken;
    }

    protected function work(Import $import): void
    {
        match ($import->kind) {
            Kind::Work => $this->takeBackWork($import),
            Kind::Athletes => $this->takeBackAthletes($import),
        };
    }

    private function takeBackWork(Import $import): void
    {
        $ids = DB::table('work_sets')->where('import_id', $import->id)->distinct()->pluck('athlete_id')->sort()->values()->all();
        Alone::with($ids, function () use ($import, $ids): void {
            $days = DB::table('work_sets')->where('import_id', $import->id)->distinct()->get(['athlete_id', 'day']);
            $reps = DB::table('work_sets')->where('import_id', $import->id)->groupBy('athlete_id')
                ->selectRaw('athlete_id, sum(reps) as reps')->pluck('reps', 'athlete_id');
            DB::table('work_sets')->where('import_id', $import->id)->delete();
            DailyTotals::refreshDays($days);
            foreach ($reps as $id => $of) {
                $entry = ['source' => 'spreadsheet', 'day' => null];
                Corrections::ofEntry((string) $id, $entry, (int) $of, (string) $import->reason, $import->maker);
            }
            WorkBroughtIn::follow($import, $ids, 'work brought in was taken back', ['reason' => $import->reason]);
            $this->done($import);
        });
    }

    private function takeBackAthletes(Import $import): void
    {
        Alone::inClub($import->workspace_id, function () use ($import): void {
            $ids = Athlete::query()->where('import_id', $import->id)->pluck('id')->all();
            foreach (array_diff(Privacy::EXPORTED_OF_ATHLETE, self::NO_RECORD) as $table) {
                if (DB::table($table)->whereIn('athlete_id', $ids)->exists()) {
                    throw new ImportStopped(ImportFault::HasARecord);
                }
            }
            DB::table('athletes')->whereIn('id', $ids)->delete();
            Audit::of($import->maker, null, 'athletes brought in were taken back', [
                'file' => $import->file_name, 'athletes' => count($ids), 'reason' => $import->reason,
            ]);
            $this->done($import);
        });
    }

    private function done(Import $import): void
    {
        $import->update(['state' => ImportState::TakenBack, 'taken_back_at' => Carbon::now(), 'done' => $import->rows]);
    }
}
