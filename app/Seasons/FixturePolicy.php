<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Squad;
use App\Athletes\SquadPolicy;
use App\People\User;
use Illuminate\Auth\Access\Response;

/** A fixture belongs to its squad. */
final class FixturePolicy
{
    public function __construct(private readonly SquadPolicy $squads) {}

    /** Who runs a match counts it. */
    public function count(User $user, Fixture $fixture): Response
    {
        if (! $user->visibleSquads()->whereKey($fixture->squad_id)->exists()) {
            return Response::denyAsNotFound();
        }

        return $user->role->records() ? Response::allow() : Response::deny('This is for the coach to do.');
    }

    public function remove(User $user, Fixture $fixture): Response
    {
        return $this->squads->manage($user, Squad::query()->findOrFail($fixture->squad_id));
    }
}
