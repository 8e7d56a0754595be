<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\Collectors;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Sessions\Answers\PickUpView;
use Augendo\Core\Day;
use Augendo\Core\Planning\PickUp;

/** Who went home with whom after a session: written down for children, and gone after thirty days. */
final class PickUps
{
    /**
     * The latest answer counts; none takes it back.
     *
     * @param  array{athlete_id: string, name: string|null}  $given
     */
    public static function note(TrainingSession $session, array $given, User $by): void
    {
        $sheet = Stations::open($session, $by)->sheets()->firstWhere('athlete_id', $given['athlete_id']);
        if ($sheet === null) {
            throw new Problem(ProblemType::NotInThisSquad, 'This athlete is not in the session.');
        }
        Alone::with($given['athlete_id'], function () use ($session, $given, $by): void {
            $of = ['training_session_id' => $session->id, 'athlete_id' => $given['athlete_id']];
            $name = trim((string) $given['name']);
            $name === ''
                ? PickedUp::query()->where($of)->delete()
                : PickedUp::query()->updateOrCreate($of, [
                    'day' => $session->day()->iso(), 'collected_by' => $name, 'noted_by' => $by->id,
                    'on_list' => PickUp::isOnList($name, Collectors::names($given['athlete_id'])),
                ]);
        });
    }

    /** @return list<PickUpView> of the children of a session, by name */
    public static function of(TrainingSession $session, User $by): array
    {
        $noted = PickedUp::query()->where('training_session_id', $session->id)->get()->keyBy('athlete_id');
        $open = Stations::open($session, $by);
        $absent = $open->setup()['absent'];
        $athletes = $open->sheets()
            ->reject(fn (Sheet $sheet): bool => in_array($sheet->athlete_id, $absent, true))
            ->map(fn (Sheet $sheet): Athlete => $sheet->athlete)
            ->unique('id')
            ->filter(fn (Athlete $athlete): bool => PickUp::isNeeded($athlete->ageOn($session->day())));

        $may = Collectors::namesOf($athletes->pluck('id')->values()->all());

        return array_values($athletes->sortBy('given_name')->map(fn (Athlete $athlete): PickUpView => new PickUpView(
            athlete_id: $athlete->id,
            name: $athlete->given_name,
            may: $may[$athlete->id] ?? [],
            collected_by: $noted[$athlete->id]->collected_by ?? null,
            on_list: $noted[$athlete->id]->on_list ?? true,
        ))->all());
    }

    /** @param  list<string>  $athleteIds */
    public static function forget(array $athleteIds, Day $today): void
    {
        PickedUp::query()
            ->whereIn('athlete_id', $athleteIds)
            ->where('day', '<', $today->plus(-PickUp::KEPT_DAYS)->iso())
            ->delete();
    }
}
