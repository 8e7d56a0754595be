<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use Augendo\Core\Day;
use Augendo\Core\Planning\SessionLife;
use Illuminate\Support\Collection;

/** What becomes of a session after it was planned: moved, changed, called off, deleted; one athlete more or less. */
final class ChangeSession
{
    public function __construct(private readonly FinishSheet $finish) {}

    /**
     * Another day, hour, name, length or place; for this session, or for it and those of its series after it.
     *
     * @param  array{
     *     version: int, scope: 'one'|'after', day: string, starts_at: string, title: string, minutes: int|null, place: string|null,
     * }  $given  validated
     */
    public function change(TrainingSession $session, array $given, User $by): SessionChange
    {
        $to = Day::of($given['day']);
        $act = $to->equals($session->day()) && $given['starts_at'] === $session->starts_at ? PlanAct::Changed : PlanAct::Moved;

        return PlanChange::make($session->squad, $act, $by, function (PlanChange $change) use ($session, $given, $to, $by): array {
            $all = $this->held($session, $given['scope']);
            self::refuseStale($session, $given['version']);
            if ($session->isOff()) {
                throw self::refused('off');
            }
            $from = $session->day();
            $today = $by->workspace->today();
            $was = self::about($session, $from);
            $this->refuseClash($all, $to->daysSince($from), $given);
            foreach ($all as $each) {
                $this->put($each, $to->daysSince($from), $given, $today, $change);
            }

            return [
                ...$was, 'sessions' => $all->count(), 'to' => $to->iso(), 'to_starts_at' => $given['starts_at'],
            ];
        });
    }

    /** @param  array<string, mixed>  $given */
    private function put(TrainingSession $session, int $days, array $given, Day $today, PlanChange $change): void
    {
        $to = $session->day()->plus($days);
        $why = $days === 0 ? null : $session->life()->refusesDay($to, $today);
        if ($why !== null) {
            throw self::refused($why);
        }
        $change->touch($session);
        $minutes = $given['minutes'] !== $session->minutes;
        // Written down after the fact, and now to be held after all: its doses are those the days still hold.
        $becomesAPlan = $session->entered_late && ! $today->isAfter($to);
        // Somewhere else there is another floor, and other things at hand.
        $venue = $given['place'] === $session->place ? null : Venue::named($session->squad->workspace_id, $given['place']);
        $kit = $venue === null ? [] : ['floor' => $venue->floor, 'objects' => $venue->objects];
        $session->update([
            'entered_late' => $session->entered_late && ! $becomesAPlan,
            // Changed on its own, it no longer goes along with its series.
            'own' => $session->own || ($given['scope'] === 'one' && $session->series_id !== null),
            'held_on' => $to->iso(), 'starts_at' => $given['starts_at'], 'title' => $given['title'],
            'minutes' => $given['minutes'], 'place' => $given['place'], ...$kit,
            'first_on' => $session->first_on ?? ($days === 0 ? null : $session->day()->iso()),
            'version' => $session->version + 1,
        ]);
        $sheets = $days === 0 && ! $minutes && $kit === [] ? collect() : $session->sheets()->where('state', 'planned')->get();
        foreach ($sheets as $sheet) {
            $change->touchSheet($sheet);
            $most = $session->minutesOf($sheets->where('athlete_id', $sheet->athlete_id)->count());
            $pace = array_diff_key($sheet->pace ?? [], ['minutes' => true]) + ($most === null ? [] : ['minutes' => $most]);
            $sheet->update(['held_on' => $to->iso(), 'pace' => $minutes ? ($pace ?: null) : $sheet->pace]);
            ! $sheet->edited && ($becomesAPlan || $kit !== []) ? RefitPlans::afterCommit($sheet) : $this->refitIfItDoesNotHold($sheet);
        }
        MakeSheets::giveWayTo($session, $change);
        $change->renamed($session);
        if (! $session->has_sheets && SessionLife::needsSheets($to, $today)) {
            MakeSheets::forSquad($session, $session->squad, $change);
        }
    }

    /**
     * @param  Collection<int, TrainingSession>  $all  that are changed together
     * @param  array<string, mixed>  $given
     *
     * @throws Problem when somebody would be in two sessions at once; a season's own session gives way
     */
    private function refuseClash(Collection $all, int $days, array $given): void
    {
        foreach ($all as $session) {
            $day = $session->day()->plus($days);
            if ($days === 0 && $given['starts_at'] === $session->starts_at && $given['minutes'] === $session->minutes) {
                continue;
            }
            $clash = Sheet::query()
                ->with('athlete', 'trainingSession')
                ->whereIn('athlete_id', $session->sheets()->where('state', 'planned')->select('athlete_id'))
                ->where('held_on', $day->iso())
                ->where('state', '!=', Sheet::CALLED_OFF)
                ->whereNotIn('training_session_id', $all->pluck('id'))
                ->get()
                ->first(fn (Sheet $sheet): bool => ! $sheet->trainingSession->extra && SessionLife::overlap(
                    $given['starts_at'], $given['minutes'], $sheet->trainingSession->starts_at, $sheet->trainingSession->minutes,
                ));
            if ($clash !== null) {
                $other = $clash->trainingSession;
                $name = $clash->athlete->given_name;
                $why = "{$name} is in “{$other->title}” at {$other->starts_at} that day. "
                    ."Choose another hour, or take {$name} out of one.";
                throw new Problem(ProblemType::NotMoved, $why, ['starts_at' => [$why]]);
            }
        }
    }

    /** Doses a coach set stay on the new day as long as they hold there; else they are fitted to it. */
    private function refitIfItDoesNotHold(Sheet $sheet): void
    {
        if ($sheet->edited) {
            $open = OpenSheet::of($sheet->fresh() ?? $sheet);
            if (EditSheet::refusals($open, $open->plans()) !== []) {
                $sheet->update(['edited' => false]);
            }
        }
    }

    /**
     * It does not take place: it stays on the calendar with its reason, and nothing of it is planned any more.
     *
     * @param  'one'|'after'  $scope
     */
    public function callOff(TrainingSession $session, string $scope, string $reason, User $by): SessionChange
    {
        return $this->end($session, $scope, SessionState::CalledOff, $reason, $by);
    }

    /**
     * Planned by mistake: out of sight.
     *
     * @param  'one'|'after'  $scope
     */
    public function delete(TrainingSession $session, string $scope, User $by): SessionChange
    {
        return $this->end($session, $scope, SessionState::Deleted, null, $by);
    }

    /** @param  'one'|'after'  $scope */
    private function end(TrainingSession $session, string $scope, SessionState $state, ?string $reason, User $by): SessionChange
    {
        $act = $state === SessionState::Deleted ? PlanAct::Deleted : PlanAct::CalledOff;

        return PlanChange::make($session->squad, $act, $by, function (PlanChange $change) use ($session, $scope, $state, $reason): array {
            $all = $this->held($session, $scope);
            $why = $state === SessionState::Deleted ? $session->life()->refusesDelete() : $session->life()->refusesEnd();
            if ($why !== null) {
                throw self::refused($why);
            }
            foreach ($all as $each) {
                $change->touch($each);
                $each->update(['state' => $state, 'reason' => $reason, 'version' => $each->version + 1]);
                foreach ($each->sheets()->where('state', 'planned')->get() as $sheet) {
                    $change->touchSheet($sheet);
                    $sheet->update(['state' => Sheet::CALLED_OFF]);
                }
            }

            return [
                ...self::about($session, $session->day()), 'sessions' => $all->count(),
                ...($reason === null ? [] : ['reason' => $reason]),
            ];
        });
    }

    /**
     * One athlete more: everybody of the club whom the coach sees, also from another squad.
     *
     * @param  list<string>|null  $ladders  null: those the session works on
     */
    public function join(TrainingSession $session, Athlete $athlete, ?array $ladders, User $by): SessionChange
    {
        $ladders ??= $session->ladders;

        return PlanChange::make($session->squad, PlanAct::Joined, $by, function ($change) use ($session, $athlete, $ladders): array {
            $this->held($session, 'one');
            if ($session->isOff()) {
                throw self::refused('off');
            }
            $change->touch($session);
            $making = MakeSheets::forOne($session, $athlete, $ladders, $change);
            if ($making->made === []) {
                $why = implode('; ', $making->left);
                throw new Problem(ProblemType::NotAdded, "{$why}.", ['athlete_id' => ["{$why}."]]);
            }

            return [...self::about($session, $session->day()), 'sessions' => 1, 'athlete' => $athlete->id];
        });
    }

    /** One athlete less; what was counted stays, and is closed instead. */
    public function takeOut(TrainingSession $session, Athlete $athlete, User $by): SessionChange
    {
        return PlanChange::make($session->squad, PlanAct::TakenOut, $by, function (PlanChange $change) use ($session, $athlete): array {
            $this->held($session, 'one');
            $change->touch($session);
            $sheets = $session->sheets()->where('athlete_id', $athlete->id)->where('state', '!=', Sheet::CALLED_OFF)->get();
            if ($sheets->isEmpty()) {
                throw new Problem(ProblemType::NotAdded, "{$athlete->given_name} is not in this session.");
            }
            foreach ($sheets as $sheet) {
                if ($sheet->state !== 'planned') {
                    throw self::refused('counted');
                }
                $change->touchSheet($sheet);
                $sheet->update(['state' => Sheet::CALLED_OFF]);
            }

            return [...self::about($session, $session->day()), 'sessions' => 1, 'athlete' => $athlete->id];
        });
    }

    /** Everybody who was counted in is finished, the others are taken out: what was done stays as it is. */
    public function close(TrainingSession $session, int $version, User $by): void
    {
        self::refuseStale($session, $version);
        foreach ($session->sheets()->where('state', 'running')->get() as $sheet) {
            $this->finish->by($by, $sheet, []);
        }
        PlanChange::make($session->squad, PlanAct::Closed, $by, function (PlanChange $change) use ($session): array {
            $this->held($session, 'one');
            $change->touch($session);
            foreach ($session->sheets()->where('state', 'planned')->get() as $sheet) {
                $change->touchSheet($sheet);
                $sheet->update(['state' => Sheet::CALLED_OFF]);
            }

            return [...self::about($session, $session->day()), 'sessions' => 1];
        });
    }

    /** @throws Problem when somebody changed it since it was read */
    private static function refuseStale(TrainingSession $session, int $version): void
    {
        if ($session->version !== $version) {
            throw new Problem(
                ProblemType::ChangedMeanwhile,
                'Somebody changed this session since you opened it. What you set is kept on the screen: look at both, then save again.',
                extra: ['version' => $session->version],
            );
        }
    }

    /**
     * This one, and for “after” those of its series that go along with it: read when nobody can count in them any more.
     *
     * @param  'one'|'after'  $scope
     * @return Collection<int, TrainingSession>
     */
    private function held(TrainingSession $session, string $scope): Collection
    {
        $session->refresh();
        $series = $scope === 'one' || $session->series_id === null ? collect() : TrainingSession::query()
            ->with('squad')
            ->where('series_id', $session->series_id)
            ->where('id', '!=', $session->id)
            ->where('held_on', '>=', $session->day()->iso())
            ->orderBy('held_on')
            ->orderBy('starts_at')
            ->get();
        PlanChange::hold([$session->id, ...$series->pluck('id')->all()]);

        return collect([
            $session,
            ...$series->filter(fn (TrainingSession $each): bool => $each->life()->followsSeries($session->day(), $each->own)),
        ]);
    }

    /** @return array{title: string, day: string, starts_at: string} */
    private static function about(TrainingSession $session, Day $day): array
    {
        return ['title' => $session->title, 'day' => $day->iso(), 'starts_at' => $session->starts_at];
    }

    /** @param  'off'|'counted'|'past'  $why */
    private static function refused(string $why): Problem
    {
        return match ($why) {
            'counted' => new Problem(
                ProblemType::AlreadyCounted,
                'Somebody has counted in this session: what was done stays. Close it instead.',
            ),
            'off' => new Problem(ProblemType::Closed, 'This session is called off. Take that back first.'),
            'past' => new Problem(ProblemType::NotMoved, 'That day is over. Choose today or a later day.', [
                'day' => ['Choose today or a later day.'],
            ]),
        };
    }
}
