<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Squad;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/** Works out the rows of Today that a look found missing, and keeps them. A row that was kept meanwhile is left as it is. */
final class KeepRows implements ShouldQueue
{
    use Dispatchable, Queueable;

    public int $tries = 3;

    public int $timeout = 120;

    public function __construct(public readonly int $squadId) {}

    public function handle(TodayRows $rows): void
    {
        $squad = Squad::query()->with('workspace')->find($this->squadId);
        if ($squad !== null) {
            $rows->keep($squad, $squad->workspace->today());
        }
    }
}
