<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\Role;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Readiness\IllAnswer;
use Augendo\Core\Readiness\Illness;
use Augendo\Core\Readiness\SorenessReport as Soreness;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Keeps who is away, who is ill, and what a clinician restricts; plans follow at once. */
final class AwayAndHurt
{
    /** @param  array<string, mixed>  $given validated */
    public function beAway(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            if (Sent::before('absences', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            Absence::query()->create([
                ...$given, 'athlete_id' => $athlete->id, 'entered_by' => $by->id, 'entered_at' => Carbon::now(),
            ]);
            Audit::of($by, $athlete, 'away', ['from' => $given['from_day'], 'until' => $given['until_day']]);
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }

    /**
     * An answer to “ill today?” begins a fever, ends it, or takes back that there was one. A cold is light work on its day.
     *
     * @param  array{at: string, ill?: string|null}  $given  validated
     * @param  User|null  $by  null: by a personal page
     */
    public function answered(Athlete $athlete, array $given, ?User $by): void
    {
        $ill = $given['ill'] ?? null;
        if ($ill === null) {
            return;
        }
        $on = Instant::of($given['at'])->day;
        $open = $athlete->absences()
            ->where('kind', AbsenceKind::Ill)
            ->where('fever', true)
            ->whereNull('withdrawn_at')
            ->whereNull('ended_on')
            ->orderByDesc('from_day')
            ->first();
        match (Illness::answered($open?->from(), $open->from_check_in ?? false, $on, $ill === 'fever')) {
            IllAnswer::Opens => $this->fallIll($athlete, $on, true, $by),
            IllAnswer::TakesBack => $open?->update(['withdrawn_at' => Carbon::now()]),
            IllAnswer::Ends => $open?->update(['ended_on' => $on->plus(-1)->iso()]),
            IllAnswer::ChangesNothing => null,
        };
        $colds = $athlete->absences()->where('kind', AbsenceKind::Ill)->where('fever', false)->where('from_check_in', true)
            ->where('from_day', $on->iso())->whereNull('withdrawn_at');
        if ($ill === 'cold' && $colds->doesntExist()) {
            $this->fallIll($athlete, $on, false, $by);
        } elseif ($ill !== 'cold') {
            $colds->update(['withdrawn_at' => Carbon::now()]);
        }
    }

    private function fallIll(Athlete $athlete, Day $on, bool $fever, ?User $by): void
    {
        Absence::query()->create([
            'athlete_id' => $athlete->id, 'kind' => AbsenceKind::Ill, 'fever' => $fever,
            'from_day' => $on->iso(), 'until_day' => $on->iso(),
            'from_check_in' => true, 'entered_by' => $by?->id, 'entered_at' => Carbon::now(),
        ]);
    }

    /** Says which day was the last of it: back early, well again, or away for longer. */
    public function end(Absence $absence, Day $lastDay, User $by): void
    {
        Alone::with($absence->athlete_id, function () use ($absence, $lastDay, $by): void {
            $absence->refresh();
            if ($absence->from()->isAfter($lastDay)) {
                $why = 'It began on '.Wording::day($absence->from()).'. Choose that day or a later one, or take it back.';
                throw new Problem(ProblemType::SomeOfItCannotBeUsed, $why, ['last_day' => [$why]]);
            }
            if ($absence->kind === AbsenceKind::Ill && $lastDay->isAfter($by->workspace->today())) {
                $why = 'An illness is over once it is: choose today or an earlier day.';
                throw new Problem(ProblemType::SomeOfItCannotBeUsed, $why, ['last_day' => [$why]]);
            }
            $fever = $this->lastFever($absence->athlete_id);
            if ($absence->fever && $fever !== null && $fever->isAfter($lastDay)) {
                $why = 'A fever was reported on '.Wording::day($fever).'. Choose that day or a later one.';
                throw new Problem(ProblemType::SomeOfItCannotBeUsed, $why, ['last_day' => [$why]]);
            }
            $absence->update([$absence->kind === AbsenceKind::Ill ? 'ended_on' : 'until_day' => $lastDay->iso()]);
            $this->changed($absence->athlete_id, $by, 'back', ['last_day' => $lastDay->iso()]);
        });
    }

    /** The last day somebody answered that there was a fever, and did not say otherwise later that day. */
    private function lastFever(string $athleteId): ?Day
    {
        $days = DB::table('wellness')->where('athlete_id', $athleteId)->whereNotNull('ill')
            ->orderBy('received_at')->orderBy('id')->pluck('ill', 'day');
        $fevers = $days->filter(fn (string $ill): bool => $ill === 'fever')->keys()->map(fn (string $day): string => substr($day, 0, 10));

        return $fevers->isEmpty() ? null : Day::of($fevers->max());
    }

    /** Entered by mistake. An illness that has stood for a while is ended instead: it is part of the record. */
    public function takeBack(Absence $absence, User $by): void
    {
        Alone::with($absence->athlete_id, function () use ($absence, $by): void {
            $absence->refresh();
            if ($absence->withdrawn_at !== null) {
                return;
            }
            if (! self::mayTakeBack($absence)) {
                throw new Problem(
                    ProblemType::TooLateToTakeBack,
                    'An illness can be taken back for '.Soreness::WITHDRAW_MINUTES.' minutes. Say which day was its last instead.',
                );
            }
            $absence->update(['withdrawn_at' => Carbon::now()]);
            $this->changed($absence->athlete_id, $by, 'absence taken back');
        });
    }

    public static function mayTakeBack(Absence $absence): bool
    {
        return $absence->kind !== AbsenceKind::Ill || self::isFresh($absence->entered_at);
    }

    /** @param  array<string, mixed>  $given validated; a clinician signs with their own name, a coach copies it from the document */
    public function restrict(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            if (Sent::before('restrictions', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            Restriction::query()->create([
                ...$given,
                'clinician_name' => $by->role === Role::Clinician ? $by->name : $given['clinician_name'],
                'athlete_id' => $athlete->id, 'set_by' => $by->id, 'set_at' => Carbon::now(),
            ]);
            Audit::of($by, $athlete, 'restriction set', ['until' => $given['until_day']]);
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }

    /** Only a clinician lifts one; whoever has just set it may take it back. */
    public function lift(Restriction $restriction, User $by): void
    {
        Alone::with($restriction->athlete_id, function () use ($restriction, $by): void {
            $restriction->refresh();
            if ($restriction->lifted_at !== null) {
                return;
            }
            if (! self::mayLift($restriction, $by)) {
                throw new Problem(
                    ProblemType::ItStays,
                    "{$restriction->clinician_name} restricted this. A clinician lifts it, or it ends by itself.",
                );
            }
            $restriction->update(['lifted_at' => Carbon::now(), 'lifted_by' => $by->id]);
            $this->changed($restriction->athlete_id, $by, 'restriction lifted');
        });
    }

    public static function mayLift(Restriction $restriction, User $by): bool
    {
        return ($by->role === Role::Clinician && $by->mayClear())
            || ($restriction->set_by === $by->id && self::isFresh($restriction->set_at));
    }

    private static function isFresh(string $at): bool
    {
        return Carbon::parse($at)->addMinutes(Soreness::WITHDRAW_MINUTES)->isFuture();
    }

    /** @param  array<string, mixed>  $details */
    private function changed(string $athleteId, User $by, string $what, array $details = []): void
    {
        $athlete = Athlete::query()->findOrFail($athleteId);
        Audit::of($by, $athlete, $what, $details);
        AthletesChanged::one($athlete, $by->workspace->today());
    }
}
