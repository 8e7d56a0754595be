<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\KeptRows;
use App\Athletes\Squad;
use App\Gates\GateRows;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Facades\Cache;

/** Works out the rows of Today and of Gates that a look found missing, and keeps them. A row that was kept meanwhile is left as it is. */
final class KeepRows implements ShouldQueue
{
    use Dispatchable, Queueable;

    private const ASK_AGAIN_S = 5;

    public int $tries = 3;

    public int $timeout = 120;

    public function __construct(public readonly int $squadId) {}

    /** A look found rows missing: asked for once in so many seconds. */
    public static function ask(Squad $squad): void
    {
        if (Cache::add("rows|{$squad->id}", 1, self::ASK_AGAIN_S)) {
            self::dispatch($squad->id);
        }
    }

    public function handle(KeptRows $kept, TodayRows $today, GateRows $gates): void
    {
        $squad = Squad::query()->with('workspace')->find($this->squadId);
        if ($squad !== null) {
            $kept->keepMissing([$today, $gates], $squad, $squad->workspace->today());
        }
    }
}
