<?php

declare(strict_types=1);

namespace App\Returns;

use App\Athletes\AthletePolicy;
use App\People\User;
use Illuminate\Auth\Access\Response;

/** A return belongs to its athlete. */
final class ReturnPolicy
{
    public function __construct(private readonly AthletePolicy $athletes) {}

    public function view(User $user, PlayReturn $return): Response
    {
        return $this->athletes->view($user, $return->athlete);
    }

    public function clear(User $user, PlayReturn $return): Response
    {
        return $this->athletes->clear($user, $return->athlete);
    }

    public function decide(User $user, PlayReturn $return): Response
    {
        return $this->athletes->decide($user, $return->athlete);
    }

    public function record(User $user, PlayReturn $return): Response
    {
        return $this->athletes->record($user, $return->athlete);
    }
}
