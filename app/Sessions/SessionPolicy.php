<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\SquadPolicy;
use App\People\User;
use Illuminate\Auth\Access\Response;

/** A session belongs to its squad; who sees any of its athletes sees their part of it. */
final class SessionPolicy
{
    public function __construct(private readonly SquadPolicy $squads) {}

    public function view(User $user, TrainingSession $session): Response
    {
        if ($session->state === SessionState::Deleted) {
            return Response::denyAsNotFound();
        }
        // Weeks ahead nobody has a sheet in it yet; who works with the squad sees it all the same.
        if ($user->role->seesSquads() && $user->visibleSquads()->whereKey($session->squad_id)->exists()) {
            return Response::allow();
        }

        return $session->sheets()->whereIn('athlete_id', $user->visibleAthletes()->select('athletes.id'))->exists()
            ? Response::allow()
            : Response::denyAsNotFound();
    }

    /** The clock, the groups and who has not come: who runs sessions. Doses stay inside the limits whoever asks. */
    public function plan(User $user, TrainingSession $session): Response
    {
        $view = $this->view($user, $session);

        return $view->denied() || $user->role->records() ? $view : Response::deny('This is for who runs the session to do.');
    }

    /** Whether, when and where it takes place, and who is in it. */
    public function change(User $user, TrainingSession $session): Response
    {
        return $this->squads->manage($user, $session->squad);
    }
}
