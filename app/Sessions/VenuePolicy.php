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
        return $venue->workspace_id === $user->workspace_id ? Response::allow() : Response::denyAsNotFound();
    }
}
