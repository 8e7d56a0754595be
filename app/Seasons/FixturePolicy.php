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

    public function remove(User $user, Fixture $fixture): Response
    {
        return $this->squads->manage($user, Squad::query()->findOrFail($fixture->squad_id));
    }
}
