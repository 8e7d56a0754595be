<?php

declare(strict_types=1);

namespace App\Athletes;

use App\People\Role;
use App\People\User;
use Illuminate\Auth\Access\Response;

/** An athlete somebody may not see is answered as not there, so that nobody learns who exists. */
final class AthletePolicy
{
    public function view(User $user, Athlete $athlete): Response
    {
        return $user->visibleAthletes()->whereKey($athlete->id)->exists() ? Response::allow() : Response::denyAsNotFound();
    }

    public function report(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, true);
    }

    public function record(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, $user->role->records());
    }

    /** Days away, and what happened to somebody: who runs sessions, and the clinician. */
    public function attend(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, $user->role->records() || $user->mayClear());
    }

    /** Work at home or elsewhere: who runs sessions, and the athlete's own people. */
    public function logWork(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, $user->role !== Role::Clinician);
    }

    public function decide(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, $user->role->decides());
    }

    /** Clearances, measurements and returns: those who answer for the health side. */
    public function clear(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, $user->mayClear());
    }

    /** What only a clinician may say, whoever holds a document. */
    public function setCondition(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, $user->role === Role::Clinician && $user->mayClear());
    }

    /** Whom a child may be handed to: the guardian, or the coach from a signed paper. */
    public function nameCollectors(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, in_array($user->role, [Role::Coach, Role::Guardian], true));
    }

    /** Their own data: the athlete, a guardian, or the coach on their behalf. */
    public function export(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, in_array($user->role, [Role::Coach, Role::Athlete, Role::Guardian], true));
    }

    /** Whether somebody is filmed: the athlete, a guardian, or the coach from a signed paper. */
    public function agreeToFilm(User $user, Athlete $athlete): Response
    {
        return $this->within($user, $athlete, in_array($user->role, [Role::Coach, Role::Athlete, Role::Guardian], true));
    }

    private function within(User $user, Athlete $athlete, bool $may): Response
    {
        $view = $this->view($user, $athlete);

        if (! $may && ! $view->denied() && $user->role === Role::Clinician && ! $user->mayClear()) {
            return Response::deny('This account is not confirmed yet: show the code under your name to the head coach, face to face.');
        }

        return $view->denied() || $may
            ? $view
            : Response::deny('This is for '.($user->role === Role::Coach ? 'a clinician' : 'the coach').' to do.');
    }
}
