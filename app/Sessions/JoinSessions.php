<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Records\Alone;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Foundation\Queue\Queueable;

/** Who is new in a squad, or on a ladder, joins the sessions that are planned and have their sheets. Coming twice it changes nothing. */
final class JoinSessions implements ShouldQueue
{
    use Dispatchable, Queueable;

    public function __construct(public readonly string $athleteId) {}

    public function handle(): void
    {
        $athlete = Athlete::query()->with('workspace')->find($this->athleteId);
        if ($athlete === null || $athlete->retired_on !== null || $athlete->erased_at !== null) {
            return;
        }
        Alone::with($athlete->id, function () use ($athlete): void {
            $sessions = TrainingSession::query()
                ->whereIn('squad_id', $athlete->squads()->select('squads.id'))
                ->where('held_on', '>=', $athlete->workspace->today()->iso())
                ->where('state', SessionState::Planned->value)
                ->where('has_sheets', true)
                ->where('extra', false)
                ->orderBy('held_on')
                ->orderBy('starts_at')
                ->get();
            foreach ($sessions as $session) {
                MakeSheets::forNew($session, $athlete);
            }
        });
    }
}
