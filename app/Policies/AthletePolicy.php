<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Athlete;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Another workspace's athlete is answered as not there, so that nobody learns who exists. */
final class AthletePolicy
{
    public function view(User $user, Athlete $athlete): Response
    {
        return $user->workspace_id === $athlete->workspace_id ? Response::allow() : Response::denyAsNotFound();
    }

    public function report(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, true);
    }

    public function record(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, $user->role->records());
    }

    public function decide(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, $user->role->decides());
    }

    public function clear(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, $user->role->clears());
    }

    private function within(User $user, Athlete $athlete, bool $may): Response
    {
        $view = $this->view($user, $athlete);

        return $view->denied() || $may ? $view : Response::deny("A {$user->role->value} cannot do this; ask the coach.");
    }
}
