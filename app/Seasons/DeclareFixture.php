<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use Augendo\Core\Day;
use Ramsey\Uuid\Uuid;

/** Matches and training elsewhere: declared ahead, so that the days before give way; a match also when it is over. */
final class DeclareFixture
{
    /** @param  array<string, mixed>  $given  validated; sent before, it changes nothing */
    public function add(Squad $squad, array $given, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($squad, $given, $by): void {
            $athlete = $given['athlete_id'] === null
                ? null
                : $squad->athletes()->whereKey($given['athlete_id'])->first()
                    ?? throw new Problem(
                        ProblemType::NotInThisSquad,
                        'Choose somebody of this squad.',
                        ['athlete_id' => ['Choose somebody of this squad.']],
                    );
            if (Sent::before('fixtures', $given['id'], ['squad_id' => $squad->id])) {
                return;
            }
            for ($week = 0; $week < $given['weeks']; $week++) {
                $id = $week === 0 ? $given['id'] : Uuid::uuid5($given['id'], "week {$week}")->toString();
                Fixture::query()->create([
                    'id' => $id, 'squad_id' => $squad->id, 'athlete_id' => $athlete?->id, 'kind' => $given['kind'],
                    'held_on' => Day::of($given['day'])->plus(7 * $week)->iso(),
                    'starts_at' => $given['starts_at'], 'title' => $given['title'], 'doses' => $given['doses'], 'created_by' => $by->id,
                    'declared_on' => $by->workspace->today()->iso(),
                ]);
            }
            Audit::of($by, $athlete, 'fixture added', ['title' => $given['title'], 'day' => $given['day'], 'weeks' => $given['weeks']]);
            $this->changed($squad, $athlete, $by);
        });
    }

    /** @throws Problem when it is over: what it took is load, and goes only with the reason of who was not in it */
    public function remove(Fixture $fixture, User $by): void
    {
        if ($by->workspace->today()->isAfter($fixture->day())) {
            throw new Problem(
                ProblemType::ItStays,
                'It is over. Say who was in it, and what it took: nobody, where it was not played.',
            );
        }
        Alone::inClub($by->workspace_id, function () use ($fixture, $by): void {
            $fixture->delete();
            Audit::of($by, null, 'fixture removed', ['title' => $fixture->title, 'day' => $fixture->held_on]);
            $this->changed(
                Squad::query()->findOrFail($fixture->squad_id),
                $fixture->athlete_id === null ? null : Athlete::query()->find($fixture->athlete_id),
                $by,
            );
        });
    }

    private function changed(Squad $squad, ?Athlete $athlete, User $by): void
    {
        $today = $by->workspace->today();
        $athlete === null ? AthletesChanged::many($squad->athletes()->get(), $today) : AthletesChanged::one($athlete, $today);
    }
}
