<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Problem;
use App\Http\ProblemType;
use App\Records\Alone;
use App\Records\Audit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;

/**
 * Who may look after whose account. Nobody gives a right they do not have: the head coach looks after everybody; a coach of the whole club
 * after everybody but the head coach and clinicians; a coach of some squads after those who see nothing beyond these squads.
 */
final class Rights
{
    /** Wrong codes of one clinician before the next is not looked at, and for how long. */
    private const CODE_TRIES = 5;

    private const CODE_WAIT_S = 600;

    public static function isHead(User $user): bool
    {
        $head = $user->workspace->head_id;

        // A club nobody was put at the head of yet is looked after by whoever coaches the whole of it.
        return $head === $user->id || ($head === null && $user->role === Role::Coach && ! $user->squads()->exists());
    }

    /** @return Builder<User> accounts somebody looks after, and their own */
    public static function managedBy(User $by): Builder
    {
        $people = User::query()->where('workspace_id', $by->workspace_id);
        if (self::isHead($by)) {
            return $people;
        }
        if (! $by->squads()->exists()) {
            return $people->where(
                fn ($those) => $those->where('id', $by->id)->orWhere(
                    fn ($others) => $others->where('role', '!=', Role::Clinician->value)->where('id', '!=', (int) $by->workspace->head_id),
                ),
            );
        }
        $squads = $by->visibleSquads()->pluck('id')->all();
        $athletes = $by->visibleAthletes()->pluck('id')->all();
        $onlyThese = fn (string $table, string $column, array $ids) => fn ($bonds) => $bonds
            ->from($table)
            ->whereColumn("{$table}.user_id", 'users.id')
            ->whereNotIn($column, $ids);

        return $people->where(fn ($those) => $those->where('id', $by->id)->orWhere(fn ($others) => $others
            ->where('role', '!=', Role::Clinician->value)->where('id', '!=', (int) $by->workspace->head_id)
            ->where(
                fn ($bound) => $bound->whereIn('id', DB::table('squad_user')->select('user_id'))->orWhereIn(
                    'id',
                    DB::table('athlete_user')->select('user_id'),
                ),
            )
            ->whereNotExists($onlyThese('squad_user', 'squad_id', $squads))->whereNotExists(
                $onlyThese('athlete_user', 'athlete_id', $athletes),
            )));
    }

    /** @return Builder<Link> links somebody sees and may take back: who works with some squads reads no name outside them */
    public static function links(User $by): Builder
    {
        $links = Link::query()->where('workspace_id', $by->workspace_id);

        return ! $by->squads()->exists() ? $links : $links->where(
            fn ($own) => $own
                ->where('made_by', $by->id)
                ->orWhereIn('athlete_id', $by->visibleAthletes()->select('athletes.id'))
                ->orWhereIn('user_id', self::managedBy($by)->select('users.id')),
        );
    }

    /** @throws Problem */
    public static function refuseUnlessMayManage(User $by, User $person): void
    {
        if (! self::managedBy($by)->whereKey($person->id)->exists()) {
            throw new Problem(ProblemType::NotYoursToDo, 'This account may do or see more than yours. The head coach looks after it.');
        }
    }

    /**
     * @param  list<int>  $squads
     *
     * @throws Problem
     */
    public static function refuseInvitation(User $by, Role $role, array $squads): void
    {
        if ($role === Role::Coach && $squads === [] && $by->squads()->exists()) {
            throw new Problem(
                ProblemType::ASquadIsNeeded,
                'Without a squad a coach sees the whole club, and you do not. Choose one of your squads.',
                ['squads' => ['Choose at least one.']],
            );
        }
        if ($role === Role::Clinician && ! self::isHead($by)) {
            throw new Problem(ProblemType::NotYoursToDo, 'A clinician is invited by the head coach, and confirmed face to face.');
        }
    }

    /** @return bool whether somebody is a coach of the whole club, whose account is open */
    public static function mayBeHead(User $user): bool
    {
        return $user->role === Role::Coach && $user->closed_at === null && $user->loadMissing('squads')->squads->isEmpty();
    }

    public static function handOver(User $by, User $to): void
    {
        if (! self::isHead($by)) {
            throw new Problem(ProblemType::NotYoursToDo, 'Only the head coach hands the club over.');
        }
        if (! self::mayBeHead($to)) {
            throw new Problem(
                ProblemType::NotThisAccount,
                'The club is handed over to a coach who sees the whole club.',
                ['person' => ['Choose a coach of the whole club.']],
            );
        }
        Alone::inClub($by->workspace_id, function () use ($by, $to): void {
            $by->workspace->update(['head_id' => $to->id]);
            Audit::of($by, null, 'club handed over', ['to' => $to->id]);
        });
    }

    /** The head coach types what the clinician reads out, in the same room: from then on the account counts. */
    public static function confirmClinician(User $by, User $clinician, string $code): void
    {
        if (! self::isHead($by)) {
            throw new Problem(ProblemType::NotYoursToDo, 'Only the head coach confirms a clinician.');
        }
        if ($clinician->role !== Role::Clinician || $clinician->closed_at !== null || $clinician->code === null) {
            throw new Problem(ProblemType::NothingToConfirm, 'This account waits for no code.');
        }
        if (RateLimiter::tooManyAttempts("confirm|{$clinician->id}", self::CODE_TRIES)) {
            throw new Problem(ProblemType::TooManyTries, 'Wait ten minutes, then look at the clinician’s screen together and try again.');
        }
        if (! hash_equals($clinician->code, trim($code))) {
            RateLimiter::hit("confirm|{$clinician->id}", self::CODE_WAIT_S);
            throw new Problem(
                ProblemType::NotThisCode,
                'This is not the code on the clinician’s screen. Look at it together and type it again.',
                ['code' => ['Not this code.']],
            );
        }
        Alone::inClub($by->workspace_id, function () use ($by, $clinician): void {
            $clinician->update(['confirmed_at' => Carbon::now(), 'confirmed_by' => $by->id, 'code' => null]);
            Audit::of($by, null, 'clinician confirmed', ['of' => $clinician->id]);
        });
    }
}
