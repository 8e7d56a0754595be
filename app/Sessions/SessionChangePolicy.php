<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\SquadPolicy;
use App\People\User;
use Illuminate\Auth\Access\Response;

/** A change of the plan belongs to its squad: whoever may make one may take it back. */
final class SessionChangePolicy
{
    public function __construct(private readonly SquadPolicy $squads) {}

    public function takeBack(User $user, SessionChange $change): Response
    {
        $own = $change->kind === PlanAct::Swapped && $change->made_by === $user->id;

        return $own ? $this->squads->view($user, $change->squad) : $this->squads->manage($user, $change->squad);
    }
}
