<?php

declare(strict_types=1);

namespace App\Athletes;

use App\People\User;
use Illuminate\Auth\Access\Response;

/** A squad somebody does not work with is answered as not there. */
final class SquadPolicy
{
    public function manage(User $user, Squad $squad): Response
    {
        if (! $user->visibleSquads()->whereKey($squad->id)->exists()) {
            return Response::denyAsNotFound();
        }

        return $user->role->decides() ? Response::allow() : Response::deny('This is for the coach to do.');
    }
}
