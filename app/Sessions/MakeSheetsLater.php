<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Records\Alone;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/** The day of a session has come near enough: everybody gets a sheet in it. Coming twice, it finds them made. */
final class MakeSheetsLater implements ShouldQueue
{
    use Dispatchable, Queueable;

    public function __construct(public readonly string $sessionId) {}

    public function handle(): void
    {
        $session = TrainingSession::query()->with('squad')->find($this->sessionId);
        if ($session === null) {
            return;
        }
        Alone::inClub($session->squad->workspace_id, function () use ($session): void {
            $session->refresh();
            if (! $session->has_sheets && ! $session->isOff()) {
                MakeSheets::forSquad($session, $session->squad);
            }
        });
    }
}
