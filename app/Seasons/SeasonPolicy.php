<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\AthletePolicy;
use App\People\User;
use Illuminate\Auth\Access\Response;

/** A season belongs to its athlete. */
final class SeasonPolicy
{
    public function __construct(private readonly AthletePolicy $athletes) {}

    public function view(User $user, Season $season): Response
    {
        return $this->athletes->view($user, $season->athlete);
    }

    public function plan(User $user, Season $season): Response
    {
        return $this->athletes->decide($user, $season->athlete);
    }
}
