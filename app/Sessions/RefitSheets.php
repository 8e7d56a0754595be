<?php

declare(strict_types=1);

namespace App\Sessions;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/** Fits the planned sheets of one athlete anew, after something changed for the whole squad. Doing it twice changes nothing. */
final class RefitSheets implements ShouldQueue
{
    use Dispatchable, Queueable;

    public int $tries = 3;

    public int $timeout = 60;

    public function __construct(public readonly string $athleteId) {}

    public function handle(): void
    {
        RefitPlans::ofAthlete($this->athleteId);
    }
}
