<?php

declare(strict_types=1);

namespace App\Athletes;

use App\People\User;
use Illuminate\Auth\Access\Response;

/** A squad somebody does not work with is answered as not there. */
final class SquadPolicy
{
    public function view(User $user, Squad $squad): Response
    {
        return $user->visibleSquads()->whereKey($squad->id)->exists() ? Response::allow() : Response::denyAsNotFound();
    }

    public function manage(User $user, Squad $squad): Response
    {
        $view = $this->view($user, $squad);

        return $view->denied() || $user->role->decides() ? $view : Response::deny('This is for the coach to do.');
    }
}
