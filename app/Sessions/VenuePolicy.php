<?php

declare(strict_types=1);

namespace App\Sessions;

use App\People\User;
use Illuminate\Auth\Access\Response;

/** A venue is its club's. */
final class VenuePolicy
{
    public function change(User $user, Venue $venue): Response
    {
        if ($venue->workspace_id !== $user->workspace_id) {
            return Response::denyAsNotFound();
        }

        return $user->role->decides() ? Response::allow() : Response::deny('This is for the coach to do.');
    }
}
