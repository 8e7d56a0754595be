<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use App\Sessions\Answers\CoachNoteView;
use Augendo\Core\Planning\NextTime;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** Notes of those who run sessions: written at one, read at the top of the next. */
final class CoachNotes
{
    /**
     * Words of one's own about a session, or about one athlete in it: written again they replace one's own; empty, they go.
     *
     * @param  array{athlete_id: string|null, text: string|null}  $given
     */
    public static function write(TrainingSession $session, array $given, User $by): void
    {
        if ($given['athlete_id'] !== null && ! Stations::open($session, $by)->sheets()->contains('athlete_id', $given['athlete_id'])) {
            throw new Problem(ProblemType::NotInThisSquad, 'This athlete is not in the session.');
        }
        Alone::inClub($session->squad->workspace_id, function () use ($session, $given, $by): void {
            $own = ['training_session_id' => $session->id, 'athlete_id' => $given['athlete_id'], 'written_by' => $by->id];
            $text = trim((string) $given['text']);
            $text === ''
                ? CoachNote::query()->where($own)->delete()
                : CoachNote::query()->updateOrCreate($own, ['squad_id' => $session->squad_id, 'text' => $text]);
            Audit::of($by, null, 'note written', ['session' => $session->id]);
        });
    }

    /** @return list<CoachNoteView> written at a session, the squad's first */
    public static function at(TrainingSession $session, User $by): array
    {
        return self::views(self::seenBy($by)->where('training_session_id', $session->id)->orderBy('created_at')->get(), $by);
    }

    /**
     * What was written at the last session before one, of the squad and of these athletes: what comes back at the top of the next sheet.
     *
     * @param  list<string>  $athleteIds
     * @return list<CoachNoteView> the squad's first
     */
    public static function before(TrainingSession $session, array $athleteIds, User $by): array
    {
        $earlier = self::seenBy($by)
            ->where('coach_notes.squad_id', $session->squad_id)
            ->where(fn (Builder $of) => $of->whereNull('athlete_id')->orWhereIn('athlete_id', $athleteIds))
            ->whereHas('trainingSession', fn (Builder $sessions) => $sessions
                ->where('held_on', '>=', $session->day()->plus(-NextTime::REMEMBERED_DAYS)->iso())
                ->where(fn (Builder $then) => $then->where('held_on', '<', $session->day()->iso())->orWhere(
                    fn (Builder $same) => $same->where('held_on', $session->day()->iso())->where('starts_at', '<', $session->starts_at),
                )))
            ->get();
        $about = $earlier->groupBy(fn (CoachNote $note): string => $note->athlete_id ?? '');

        return self::views($about->flatMap(self::ofTheLast(...)), $by);
    }

    /**
     * @param  Collection<int, CoachNote>  $notes  about one
     * @return Collection<int, CoachNote>
     */
    private static function ofTheLast(Collection $notes): Collection
    {
        $when = fn (CoachNote $note): string => "{$note->trainingSession->held_on} {$note->trainingSession->starts_at}";
        $last = $notes->max($when);

        return $notes->filter(fn (CoachNote $note): bool => $when($note) === $last);
    }

    /** @return Builder<CoachNote> those about the squads and athletes somebody runs sessions with */
    private static function seenBy(User $by): Builder
    {
        return CoachNote::query()
            ->with(['writer', 'trainingSession'])
            ->when(! $by->role->records(), fn (Builder $notes) => $notes->whereRaw('1 = 0'))
            ->where(fn (Builder $of) => $of
                ->whereNull('athlete_id')
                ->orWhereIn('athlete_id', $by->visibleAthletes()->select('athletes.id')));
    }

    /**
     * @param  Collection<int, CoachNote>  $notes
     * @return list<CoachNoteView>
     */
    private static function views(Collection $notes, User $by): array
    {
        return array_values($notes->sortBy(fn (CoachNote $note): string => $note->athlete_id ?? '')->map(
            fn (CoachNote $note): CoachNoteView => new CoachNoteView(
                athlete_id: $note->athlete_id,
                text: $note->text,
                by: $note->writer->name ?? 'somebody',
                own: $note->written_by === $by->id,
                day: $note->trainingSession->day()->iso(),
            ),
        )->all());
    }
}
