<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Gates\Placement;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Library\Ladders;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Returns\PlayReturn;
use App\Seasons\Season;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Squads, who is in them, and where they stand on their ladders. */
final class Roster
{
    /** @param  array{name: string, school: string|null}  $given validated */
    public function addSquad(array $given, User $by): Squad
    {
        return Alone::inClub($by->workspace_id, function () use ($given, $by): Squad {
            $squad = Squad::query()->create([...$given, 'workspace_id' => $by->workspace_id, 'rule_set' => 'starter']);
            // A coach who is bound to squads works with the new one, too.
            if ($by->squads()->exists()) {
                $by->squads()->attach($squad->id);
            }
            Audit::of($by, null, 'squad added', ['name' => $squad->name]);

            return $squad;
        });
    }

    /** @param  array{name: string, school: string|null}  $given validated */
    public function changeSquad(Squad $squad, array $given, User $by): void
    {
        Alone::inClub($squad->workspace_id, function () use ($squad, $given, $by): void {
            $squad->update($given);
            Audit::of($by, null, 'squad changed', $given);
            AthletesChanged::many($squad->athletes()->get(), $by->workspace->today());
        });
    }

    /** @param  array<string, mixed>  $given validated */
    public function addAthlete(Squad $squad, array $given, User $by): Athlete
    {
        return Alone::inClub($squad->workspace_id, function () use ($squad, $given, $by): Athlete {
            $athlete = Athlete::query()->find($given['id']);
            if ($athlete !== null) {
                return $by->visibleAthletes()->whereKey($athlete->id)->exists()
                    ? $athlete
                    : throw new Problem(ProblemType::NotAdded, 'This id is taken. Load the page again.');
            }
            $athlete = Athlete::query()->create([...$given, 'workspace_id' => $by->workspace_id]);
            $athlete->squads()->attach(
                $squad->id,
                ['position' => 1 + (int) DB::table('athlete_squad')->where('squad_id', $squad->id)->max('position')],
            );
            Audit::of($by, $athlete, 'athlete added');

            return $athlete;
        });
    }

    /** @param  array<string, mixed>  $given validated */
    public function changeAthlete(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            $athlete->update($given);
            Audit::of($by, $athlete, 'athlete changed');
            $this->changed($athlete, $by);
        });
    }

    /** Where somebody starts. An athlete who stands on the ladder already moves by a decision, not by this. */
    public function place(Athlete $athlete, string $ladderId, string $rungId, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $ladderId, $rungId, $by): void {
            $ladder = app(Ladders::class)->ladder($by, $ladderId);
            if ($ladder->rung($rungId) === null) {
                throw new Problem(
                    ProblemType::NoSuchRung,
                    "“{$ladder->name}” has no such rung.",
                    ['rung' => ['Choose a rung of this ladder.']],
                );
            }
            if (Placement::standing()->where('athlete_id', $athlete->id)->where('ladder', $ladderId)->exists()) {
                throw new Problem(ProblemType::OnThisLadderAlready, 'Moving up or down is decided at the gate, with its evidence.');
            }
            Placement::query()->create([
                'athlete_id' => $athlete->id, 'ladder' => $ladder->id, 'ladder_version' => $ladder->version, 'rung' => $rungId,
                'entered_on' => $by->workspace->today()->iso(), 'entered_at' => Carbon::now($by->workspace->timezone)->toIso8601String(),
            ]);
            Audit::of($by, $athlete, 'placed on a ladder', ['ladder' => $ladder->name, 'rung' => $rungId]);
            AthletesChanged::one($athlete->id);
        });
    }

    /** Somebody stops climbing a ladder: what was climbed stays held, what is planned on it from today is taken off. */
    public function leave(Athlete $athlete, string $ladderId, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $ladderId, $by): void {
            foreach ([PlayReturn::class => 'A return', Season::class => 'A season'] as $model => $what) {
                if ($model::query()->where('athlete_id', $athlete->id)->where('ladder', $ladderId)->where('state', 'open')->exists()) {
                    throw new Problem(ProblemType::StillInUse, "{$what} is open on this ladder. Close it first.");
                }
            }
            $today = $by->workspace->today()->iso();
            if (Placement::standing()->where('athlete_id', $athlete->id)->where('ladder', $ladderId)->update(['left_on' => $today]) === 0) {
                throw new Problem(ProblemType::NotOnThisLadder, 'The athlete has no place on this ladder.');
            }
            $athlete->sheets()
                ->where('ladder', $ladderId)
                ->where('held_on', '>=', $today)
                ->where('state', 'planned')
                ->get()->each
                ->delete();
            Audit::of($by, $athlete, 'left a ladder', ['ladder' => $ladderId]);
            AthletesChanged::one($athlete->id);
        });
    }

    private function changed(Athlete $athlete, User $by): void
    {
        AthletesChanged::one($athlete, $by->workspace->today());
    }
}
