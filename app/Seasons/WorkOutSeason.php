<?php

declare(strict_types=1);

namespace App\Seasons;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/** Works out the weeks of one season that was kept for a whole squad. Doing it twice changes nothing. */
final class WorkOutSeason implements ShouldQueue
{
    use Dispatchable, Queueable;

    public int $tries = 3;

    public int $timeout = 60;

    public function __construct(public readonly string $seasonId) {}

    public function handle(Seasons $open): void
    {
        $season = Season::query()->with('athlete', 'squad.workspace')->find($this->seasonId);
        if ($season !== null) {
            $open->workOut($season);
        }
    }
}
