<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\Link;
use App\People\Role;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\SorenessReport as Soreness;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Keeps soreness reports and clearances; what is planned for the day is fitted to them at once. */
final class HealthLog
{
    public function __construct(private readonly AwayAndHurt $illness) {}

    /** @param  list<array<string, mixed>>  $reports validated, each with its client-made id; one sent before changes nothing */
    public function report(Athlete $athlete, array $reports, User $by): void
    {
        $this->keep($athlete, $reports, $by->workspace->today(), ['reported_by' => $by->id]);
    }

    /** @param  array{reports: list<array<string, mixed>>, wellness: array<string, mixed>|null}  $given validated */
    public function reportByLink(Athlete $athlete, array $given, Link $link): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $link): void {
            if ($given['wellness'] !== null) {
                $this->wellness($athlete, $given['wellness'], $link->workspace()->firstOrFail()->today());
            }
            $this->keep(
                $athlete,
                $given['reports'],
                $link->workspace()->firstOrFail()->today(),
                ['reported_by' => null, 'link_id' => $link->id],
            );
        });
    }

    /** @param  array<string, mixed>  $given validated; sent before, it changes nothing */
    public function wellness(Athlete $athlete, array $given, Day $today, ?User $by = null): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $today, $by): void {
            if (Sent::before('wellness', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            DB::table('wellness')->insert([
                ...$given,
                'athlete_id' => $athlete->id,
                'day' => Instant::of($given['at'])->day->iso(),
                'received_at' => Carbon::now(),
            ]);
            $this->illness->answered($athlete, $given, $by);
            AthletesChanged::one($athlete, $today);
        });
    }

    /**
     * @param  list<array<string, mixed>>  $reports
     * @param  array<string, int|null>  $who
     */
    private function keep(Athlete $athlete, array $reports, Day $today, array $who): void
    {
        Alone::with($athlete->id, function () use ($athlete, $reports, $today, $who): void {
            $now = Carbon::now();
            $new = array_filter(
                $reports,
                fn (array $report): bool => ! Sent::before('soreness_reports', $report['id'], ['athlete_id' => $athlete->id]),
            );
            DB::table('soreness_reports')->insertOrIgnore(array_map(fn (array $report): array => [
                'id' => $report['id'], 'athlete_id' => $athlete->id, 'at' => $report['at'], 'day' => Instant::of($report['at'])->day->iso(),
                'moment' => $report['moment'], 'site' => $report['site'], 'side' => $report['side'] ?? null, 'kind' => $report['kind'],
                'score' => (int) $report['score'],
                // Both schools refer at the same scores, so the flag holds whatever the athlete's age.
                'refers' => School::Strict->wordOf(Kind::from($report['kind']), (int) $report['score']) === Word::Refer,
                'note' => $report['note'] ?? null, ...$who, 'received_at' => $now,
            ], array_values($new)));
            Incidents::openFor($athlete, array_values($new), $who['reported_by']);
            AthletesChanged::one($athlete, $today);
        });
    }

    /** @param  object{refers: bool|int, reported_by: int|null, received_at: string}  $report a model or a row */
    public static function mayWithdraw(object $report, User $by): bool
    {
        return ! $report->refers
            && $report->reported_by === $by->id
            && Carbon::parse($report->received_at)->addMinutes(Soreness::WITHDRAW_MINUTES)->isFuture();
    }

    /** Takes back a report made on the wrong name. A report that refers stays: only a clearance closes it. */
    public function withdraw(SorenessReport $report, User $by): void
    {
        if ($report->refers) {
            throw new Problem(ProblemType::ItStays, 'A report that refers is not taken back; a clinician’s clearance closes it.');
        }
        if (! self::mayWithdraw($report, $by)) {
            throw new Problem(
                ProblemType::TooLateToTakeBack,
                'A report can be taken back for '.Soreness::WITHDRAW_MINUTES.' minutes by who made it. Report again: the latest counts.',
            );
        }
        Alone::with($report->athlete_id, function () use ($report, $by): void {
            $report->update(['withdrawn_at' => Carbon::now()]);
            $athlete = $report->athlete()->firstOrFail();
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }

    /** @param  array<string, mixed>  $given validated; only a clinician's policy lets one come here */
    public function setCondition(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            if (Sent::before('known_conditions', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            $today = $by->workspace->today();
            DB::table('known_conditions')->insert([
                ...$given,
                'athlete_id' => $athlete->id,
                'from_day' => $today->iso(),
                'set_by' => $by->id,
                'set_at' => Carbon::now(),
            ]);
            Audit::of($by, $athlete, 'known condition set');
            AthletesChanged::one($athlete, $today);
        });
    }

    /** @param  array<string, mixed>  $given validated */
    public function clear(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            if (Sent::before('clearances', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            Clearance::query()->create([
                ...$given,
                // A clinician signs with their own name; a coach copies the name from the document.
                'clinician_name' => $by->role === Role::Clinician ? $by->name : $given['clinician_name'],
                'athlete_id' => $athlete->id, 'at' => Carbon::now($by->workspace->timezone)->toIso8601String(),
                'recorded_by' => $by->id, 'received_at' => Carbon::now(),
            ]);
            Audit::of($by, $athlete, 'clearance recorded', ['for' => $given['sites'] === null ? 'the whole body' : 'named sites']);
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }
}
