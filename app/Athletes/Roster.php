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
use App\Seasons\Seasons;
use App\Sessions\JoinSessions;
use App\Sessions\SessionState;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Day;
use Augendo\Core\Gates\Prerequisites;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Illuminate\Database\Eloquent\Relations\HasMany;
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
            if ($ladder->position($rungId) !== 0) {
                self::refuseWithoutWhatItBuildsOn($athlete, $ladder);
            }
            Placement::query()->create([
                'athlete_id' => $athlete->id, 'ladder' => $ladder->id, 'ladder_version' => $ladder->version, 'rung' => $rungId,
                'entered_on' => $by->workspace->today()->iso(), 'entered_at' => Carbon::now($by->workspace->timezone)->toIso8601String(),
            ]);
            Audit::of($by, $athlete, 'placed on a ladder', ['ladder' => $ladder->name, 'rung' => $rungId]);
            AthletesChanged::one($athlete->id);
            JoinSessions::dispatch($athlete->id)->afterCommit();
        });
    }

    /**
     * At its foot anybody may begin; further up, what a ladder builds on has to be behind them.
     *
     * @throws Problem
     */
    public static function refuseWithoutWhatItBuildsOn(Athlete $athlete, Ladder $ladder): void
    {
        $library = app(Library::class);
        if (self::hasWhatItBuildsOn($athlete, $ladder)) {
            return;
        }
        $named = array_map(function (array $need) use ($library): string {
            $other = $library->ladder($need[0]);

            return "“{$other->name}” above “".($other->rung($need[1])->name ?? $need[1]).'”';
        }, $ladder->needs);
        throw new Problem(
            ProblemType::SomethingComesFirst,
            "“{$ladder->name}” builds on ".implode(' and ', $named).'. Place them there first, or at the foot of this one.',
            ['rung' => ['Choose the first rung, or place them on what comes before.']],
        );
    }

    public static function hasWhatItBuildsOn(Athlete $athlete, Ladder $ladder): bool
    {
        $places = Placement::query()->where('athlete_id', $athlete->id)->get()
            ->map(fn (Placement $placement): array => [$placement->ladder, $placement->rung])->values()->all();

        return $ladder->needs === [] || Prerequisites::held($ladder, $places, app(Library::class)) === true;
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
            $this->takeOff($athlete->sheets()->where('ladder', $ladderId), $by->workspace->today());
            Audit::of($by, $athlete, 'left a ladder', ['ladder' => $ladderId]);
            AthletesChanged::one($athlete->id);
        });
    }

    /**
     * The squads somebody trains with from now on. In those left nothing is planned any more; those that are new have the athlete in the
     * sessions that are planned.
     *
     * @param  list<int>  $squads  ids, at least one, all of them the coach's to manage
     */
    public function move(Athlete $athlete, array $squads, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($athlete, $squads, $by): void {
            $athlete->refresh();
            if ($athlete->retired_on !== null) {
                throw new Problem(ProblemType::ItStays, "{$athlete->given_name} has retired. Let come back first.");
            }
            $manages = $by->visibleSquads()->pluck('id')->all();
            $unknown = array_diff($squads, $manages);
            if ($unknown !== []) {
                throw new Problem(ProblemType::NotFound, 'One of these squads is not there.', ['squads' => ['Choose again.']]);
            }
            $now = $athlete->squads()->pluck('squads.id')->all();
            $left = array_values(array_intersect(array_diff($now, $squads), $manages));
            $new = array_values(array_diff($squads, $now));
            foreach ($new as $id) {
                $last = (int) DB::table('athlete_squad')->where('squad_id', $id)->max('position');
                $athlete->squads()->attach($id, ['position' => $last + 1]);
            }
            $athlete->squads()->detach($left);
            $sessions = TrainingSession::query()->whereIn('squad_id', $left)->select('id');
            $this->takeOff($athlete->sheets()->whereIn('training_session_id', $sessions), $by->workspace->today());
            Audit::of($by, $athlete, 'squads changed', ['left' => $left, 'new' => $new]);
            $this->changed($athlete, $by);
            JoinSessions::dispatch($athlete->id)->afterCommit();
        });
    }

    /** Out of sight with the whole record: in no list, in no session, in no season. What was counted stays. */
    public function retire(Athlete $athlete, Day $lastDay, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $lastDay, $by): void {
            if ($athlete->refresh()->retired_on !== null) {
                return;
            }
            $athlete->update(['retired_on' => $lastDay->iso()]);
            DB::table('athlete_squad')->where('athlete_id', $athlete->id)->update(['left_on' => $lastDay->iso()]);
            foreach (Season::openOf($athlete)->get() as $season) {
                app(Seasons::class)->close($season, $by);
            }
            $this->takeOff($athlete->sheets(), $by->workspace->today());
            Audit::of($by, $athlete, 'retired');
            $this->changed($athlete, $by);
        });
    }

    /** Back in the squads left then, and in the sessions planned for them. Seasons are planned anew: the body is another one. */
    public function comeBack(Athlete $athlete, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $by): void {
            if ($athlete->refresh()->retired_on === null) {
                return;
            }
            $athlete->update(['retired_on' => null]);
            DB::table('athlete_squad')->where('athlete_id', $athlete->id)->update(['left_on' => null]);
            Audit::of($by, $athlete, 'came back');
            $this->changed($athlete, $by);
            JoinSessions::dispatch($athlete->id)->afterCommit();
        });
    }

    /** A squad that is over: its sessions stay on record, nobody chooses it any more. */
    public function archive(Squad $squad, User $by): void
    {
        Alone::inClub($squad->workspace_id, function () use ($squad, $by): void {
            $today = $by->workspace->today()->iso();
            $ahead = TrainingSession::query()
                ->where('squad_id', $squad->id)
                ->where('held_on', '>=', $today)
                ->where('state', SessionState::Planned->value)
                ->exists();
            if ($squad->athletes()->exists() || $ahead) {
                throw new Problem(
                    ProblemType::StillInUse,
                    'Somebody is in this squad, or a session of it is planned. Move the athletes and call the sessions off first.',
                );
            }
            $squad->update(['archived_on' => $today]);
            Audit::of($by, null, 'squad archived', ['name' => $squad->name]);
        });
    }

    /**
     * What is planned for somebody and nobody has begun goes.
     *
     * @param  HasMany<Sheet, Athlete>  $sheets  of the athlete
     */
    private function takeOff(HasMany $sheets, Day $today): void
    {
        $sheets->where('held_on', '>=', $today->iso())->where('state', 'planned')->get()->each->delete();
    }

    private function changed(Athlete $athlete, User $by): void
    {
        AthletesChanged::one($athlete, $by->workspace->today());
    }
}
