<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Athlete;
use App\Models\Clearance;
use App\Models\Role;
use App\Models\User;
use Augendo\Core\Instant;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Keeps soreness reports and clearances; what is planned for the day is fitted to them at once. */
final class HealthLog
{
    /** @param  list<array<string, mixed>>  $reports validated, each with its client-made id; one sent before changes nothing */
    public function report(Athlete $athlete, array $reports, User $by): void
    {
        DB::transaction(function () use ($athlete, $reports, $by): void {
            $now = Carbon::now();
            DB::table('soreness_reports')->insertOrIgnore(array_map(fn (array $report): array => [
                'id' => $report['id'], 'athlete_id' => $athlete->id, 'at' => $report['at'], 'day' => Instant::of($report['at'])->day->iso(),
                'moment' => $report['moment'], 'site' => $report['site'], 'side' => $report['side'] ?? null, 'kind' => $report['kind'],
                'score' => (int) $report['score'],
                // Both schools refer at the same scores, so the flag holds whatever the athlete's age.
                'refers' => School::Strict->wordOf(Kind::from($report['kind']), (int) $report['score']) === Word::Refer,
                'note' => $report['note'] ?? null, 'reported_by' => $by->id, 'received_at' => $now,
            ], $reports));
            Athlete::raiseRevision($athlete->id);
            SheetDesk::refitFrom($athlete, $by->workspace->today());
        });
    }

    /** @param  array<string, mixed>  $given validated */
    public function clear(Athlete $athlete, array $given, User $by): void
    {
        DB::transaction(function () use ($athlete, $given, $by): void {
            if (Clearance::query()->whereKey($given['id'])->exists()) {
                return;
            }
            Clearance::query()->create([
                ...$given,
                // A clinician signs with their own name; a coach copies the name from the document.
                'clinician_name' => $by->role === Role::Clinician ? $by->name : $given['clinician_name'],
                'athlete_id' => $athlete->id, 'at' => Carbon::now($by->workspace->timezone)->toIso8601String(),
                'recorded_by' => $by->id, 'received_at' => Carbon::now(),
            ]);
            Athlete::raiseRevision($athlete->id);
            SheetDesk::refitFrom($athlete, $by->workspace->today());
        });
    }
}
