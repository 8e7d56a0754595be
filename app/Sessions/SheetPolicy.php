<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\AthletePolicy;
use App\People\User;
use Illuminate\Auth\Access\Response;

/** A sheet belongs to its athlete. */
final class SheetPolicy
{
    public function __construct(private readonly AthletePolicy $athletes) {}

    public function view(User $user, Sheet $sheet): Response
    {
        return $this->athletes->view($user, $sheet->athlete);
    }

    public function record(User $user, Sheet $sheet): Response
    {
        return $this->athletes->record($user, $sheet->athlete);
    }

    public function plan(User $user, Sheet $sheet): Response
    {
        return $this->athletes->decide($user, $sheet->athlete);
    }
}
