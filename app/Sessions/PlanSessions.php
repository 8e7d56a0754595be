<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Squad;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Augendo\Core\Planning\SessionLife;
use Augendo\Core\Planning\WeeklyDays;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Puts sessions of a squad on the calendar: one, every week, or last week's again. Those near enough have a sheet for everybody at once,
 * fitted to their day; the others get theirs when their day comes near.
 *
 * @phpstan-type Asked array{
 *     id?: string|null, day: string, starts_at: string, title: string, minutes?: int|null, place?: string|null,
 *     ladders?: list<string>|null, objects?: list<string>|null,
 *     until?: string|null, weekdays?: list<int>, without?: list<array{from: string, to: string}>,
 * }
 */
final class PlanSessions
{
    /**
     * @param  Asked  $given  validated; ladders: those to work on, null the one each is on last; sent before, it changes nothing
     */
    public function plan(Squad $squad, array $given, User $by): SessionsMade
    {
        $id = $given['id'] ?? null;

        return $this->once($squad, $id, PlanAct::Planned, $by, function (PlanChange $change) use ($squad, $given, $by): array {
            $days = $this->days($given, $by->workspace->today());
            $series = count($days) > 1 ? (string) Str::uuid7() : null;
            $sessions = array_map(fn (Day $day): TrainingSession => $this->put($squad, $given, $day, $series, $change), $days);

            return $this->sheets($squad, $sessions, $change, $by);
        });
    }

    /** The sessions of the week before, a week later; what is there already is left as it is. */
    public function copyWeek(Squad $squad, string $id, Day $week, User $by): SessionsMade
    {
        return $this->once($squad, $id, PlanAct::Copied, $by, function (PlanChange $change) use ($squad, $week, $by): array {
            $monday = WeeklyDays::monday($week);
            $today = $by->workspace->today();
            $left = [];
            $sessions = [];
            foreach (
                TrainingSession::standing($squad->id)
                    ->where('extra', false)
                    ->whereBetween('held_on', [$monday->plus(-7)->iso(), $monday->plus(-1)->iso()])
                    ->orderBy('held_on')->orderBy('starts_at')->get() as $session
            ) {
                $day = $session->day()->plus(7);
                $same = ['held_on' => $day->iso(), 'starts_at' => $session->starts_at];
                if ($today->isAfter($day) || TrainingSession::standing($squad->id)->where($same)->exists()) {
                    $left[] = $today->isAfter($day)
                        ? "“{$session->title}”: its day is over"
                        : "“{$session->title}”: there is a session at that hour already";

                    continue;
                }
                $sessions[] = $this->put($squad, [
                    'starts_at' => $session->starts_at, 'title' => $session->title, 'minutes' => $session->minutes,
                    'place' => $session->place, 'ladders' => $session->ladders, 'objects' => $session->objects,
                    'floor' => $session->floor,
                ], $day, null, $change);
            }
            if ($sessions === []) {
                throw new Problem(
                    ProblemType::NobodyToPlanFor,
                    $left === [] ? 'The week before has no session to copy.' : implode('; ', $left).'.',
                    ['week' => ['Nothing to copy.']],
                );
            }

            return $this->sheets($squad, $sessions, $change, $by, $left);
        });
    }

    /**
     * What planning would make, without keeping any of it.
     *
     * @param  Asked  $given
     * @return array{SessionsMade, list<string>, list<Sheet>} the days, and the sheets of the first, as they would be fitted
     */
    public function preview(Squad $squad, array $given, User $by): array
    {
        DB::beginTransaction();
        try {
            $made = $this->plan($squad, [...$given, 'id' => null], $by);
            $days = TrainingSession::query()->whereIn('id', $made->sessionIds)->orderBy('held_on')->get();
            $sheets = Sheet::query()
                ->with('athlete', 'blocks', 'trainingSession.squad.workspace')
                ->where('training_session_id', $made->sessionIds[0] ?? '')
                ->orderBy('id')
                ->get()
                ->map(FitSheet::toLookAt(...))
                ->values()
                ->all();
        } finally {
            DB::rollBack();
        }

        return [$made, $days->map(fn (TrainingSession $each): string => $each->day()->iso())->values()->all(), $sheets];
    }

    /** @param  \Closure(PlanChange): array{list<TrainingSession>, int, list<string>}  $do */
    private function once(Squad $squad, ?string $id, PlanAct $act, User $by, \Closure $do): SessionsMade
    {
        $result = null;
        $kept = PlanChange::make($squad, $act, $by, function (PlanChange $change) use ($do, &$result): array {
            $result = $do($change);
            $first = $result[0][0];

            return [
                'title' => $first->title, 'day' => $first->day()->iso(), 'starts_at' => $first->starts_at, 'sessions' => count($result[0]),
            ];
        }, $id);
        // Sent before, it was made then.
        [$sessions, $sheets, $left] = $result ?? [null, count($kept->before['made_sheets']), []];
        $ids = $sessions === null ? $kept->sessionIds() : array_map(fn (TrainingSession $each): string => $each->id, $sessions);

        return new SessionsMade($kept->id, $ids, $sheets, $left);
    }

    /**
     * @param  Asked  $given
     * @return non-empty-list<Day>
     */
    private function days(array $given, Day $today): array
    {
        $first = Day::of($given['day']);
        if (($given['until'] ?? null) === null) {
            return [$first];
        }
        try {
            $days = WeeklyDays::between(
                from: $first,
                until: Day::of($given['until']),
                weekdays: $given['weekdays'] ?? [],
                without: array_map(
                    fn (array $span): array => [Day::of($span['from']), Day::of($span['to'])],
                    $given['without'] ?? [],
                ),
            );
        } catch (InvalidValue $error) {
            throw new Problem(ProblemType::SomeOfItCannotBeUsed, $error->getMessage(), ['until' => [$error->getMessage()]]);
        }
        if ($days === []) {
            $why = 'None of these weekdays lies between the first day and the last.';
            throw new Problem(ProblemType::SomeOfItCannotBeUsed, $why, ['weekdays' => [$why]]);
        }

        return $days;
    }

    /**
     * A session on a day. Where the squad works on the same at that hour already, whoever is new to it joins it.
     *
     * @param  array<string, mixed>  $given  of Asked
     */
    private function put(Squad $squad, array $given, Day $day, ?string $series, PlanChange $change): TrainingSession
    {
        $same = ['held_on' => $day->iso(), 'starts_at' => $given['starts_at'], 'extra' => false];
        $there = TrainingSession::standing($squad->id)->where($same)->get()
            ->first(fn (TrainingSession $each): bool => $each->ladders == ($given['ladders'] ?? null));
        if ($there !== null) {
            $change->touch($there);

            return $there;
        }
        $venue = Venue::named($squad->workspace_id, $given['place'] ?? null);
        $session = TrainingSession::query()->create([
            'squad_id' => $squad->id,
            'series_id' => $series,
            'held_on' => $day->iso(),
            'starts_at' => $given['starts_at'],
            'title' => $given['title'],
            'minutes' => $given['minutes'] ?? null,
            'place' => $given['place'] ?? null,
            'ladders' => $given['ladders'] ?? null,
            'objects' => $given['objects'] ?? $venue?->objects,
            'floor' => $given['floor'] ?? $venue?->floor,
            'has_sheets' => false,
            'entered_late' => $squad->workspace->today()->isAfter($day),
        ]);
        $change->made($session);

        return $session;
    }

    /**
     * @param  list<TrainingSession>  $sessions
     * @param  list<string>  $left
     * @return array{list<TrainingSession>, int, list<string>} the sessions, how many sheets, who was left out
     *
     * @throws Problem when nobody could be planned for
     */
    private function sheets(Squad $squad, array $sessions, PlanChange $change, User $by, array $left = []): array
    {
        $made = 0;
        foreach ($sessions as $i => $session) {
            // Whom the first concerns is looked at now in any case, so that planning for nobody is said at once.
            if ($i === 0 || SessionLife::needsSheets($session->day(), $by->workspace->today())) {
                $making = MakeSheets::forSquad($session, $squad, $change, fitLater: $i > 0);
                $made += count($making->made);
                $left = [...$left, ...$making->left];
            }
        }
        if ($made === 0) {
            throw new Problem(
                ProblemType::NobodyToPlanFor,
                match (true) {
                    $left !== [] => implode('; ', array_unique($left)).'.',
                    $squad->athletes()->exists() => 'Everybody is in the session of that hour already.',
                    default => 'Nobody is in this squad yet. Add an athlete under People.',
                },
                ['day' => ['Nobody to plan for.']],
            );
        }

        return [$sessions, $made, array_values(array_unique($left))];
    }
}
