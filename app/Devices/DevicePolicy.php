<?php

declare(strict_types=1);

namespace App\Devices;

use App\People\User;
use Illuminate\Auth\Access\Response;

/** A device is its club's. */
final class DevicePolicy
{
    public function change(User $user, Device $device): Response
    {
        return $device->workspace_id === $user->workspace_id ? Response::allow() : Response::denyAsNotFound();
    }
}
