<?php

declare(strict_types=1);

namespace App\People;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\Answers\SharedView;
use App\Records\Alone;
use App\Records\Audit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** Who of those with an account sees an athlete without working with the squad: a clinician, a guardian, the athlete. */
final class Shares
{
    /** Those who can be given one athlete more without another invitation. An athlete's own account is their own. */
    private const ROLES = [Role::Clinician, Role::Guardian];

    /** @param  array{person: int, agreed_by: string, agreed_on: string}  $given  validated */
    public function add(Athlete $athlete, array $given, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($athlete, $given, $by): void {
            $person = self::mayBeGiven($by)->find($given['person'])
                ?? throw new Problem(
                    ProblemType::NotThisAccount,
                    'Choose a confirmed clinician of the club, or a guardian of one of your athletes.',
                    ['person' => ['Choose again.']],
                );
            $known = DB::table('athlete_user')->where('athlete_id', $athlete->id)->where('user_id', $person->id);
            if ($known->exists()) {
                return;
            }
            $athlete->users()->attach($person->id, ['agreed_by' => $given['agreed_by'], 'agreed_on' => $given['agreed_on']]);
            Audit::of($by, $athlete, "shared with a {$person->role->value}", ['with' => $person->id, 'agreed_by' => $given['agreed_by']]);
        });
    }

    public function takeBack(Athlete $athlete, int $personId, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($athlete, $personId, $by): void {
            $person = $athlete->users()->whereIn('role', self::ROLES)->find($personId)
                ?? throw new Problem(ProblemType::NothingToTakeBack, 'This is not shared any more.');
            $athlete->users()->detach($person->id);
            Audit::of($by, $athlete, "no longer shared with a {$person->role->value}", ['with' => $person->id]);
        });
    }

    /** @return list<SharedView> */
    public function of(Athlete $athlete): array
    {
        return array_values($athlete->users()->whereNull('closed_at')->orderBy('users.id')->get()->map(
            fn (User $person): SharedView => new SharedView(
                id: $person->id,
                name: $person->name,
                role: $person->role->value,
                agreed_by: $person->getRelation('pivot')->getAttribute('agreed_by'),
                agreed_on: $person->getRelation('pivot')->getAttribute('agreed_on') === null
                    ? null
                    : substr($person->getRelation('pivot')->getAttribute('agreed_on'), 0, 10),
                may_be_taken_back: in_array($person->role, self::ROLES, true),
            ),
        )->all());
    }

    /** @return list<NamedView> who could be given the athlete as well */
    public function others(Athlete $athlete, User $by): array
    {
        $bound = DB::table('athlete_user')->where('athlete_id', $athlete->id)->select('user_id');
        $people = self::mayBeGiven($by)->whereNotIn('id', $bound)->orderBy('name')->get();

        return array_values($people->map(
            fn (User $person): NamedView => new NamedView((string) $person->id, "{$person->name}, {$person->role->value}"),
        )->all());
    }

    /** @return Builder<User> whose names the coach may read: clinicians of the club, guardians of their own athletes */
    private static function mayBeGiven(User $by): Builder
    {
        $seen = DB::table('athlete_user')->whereIn('athlete_id', $by->visibleAthletes()->select('athletes.id'))->select('user_id');

        return User::query()->where('workspace_id', $by->workspace_id)->whereNull('closed_at')->where(fn ($those) => $those
            ->where(fn ($one) => $one->where('role', Role::Clinician->value)->whereNotNull('confirmed_at'))
            ->orWhere(fn ($one) => $one->where('role', Role::Guardian->value)->whereIn('id', $seen)));
    }
}
