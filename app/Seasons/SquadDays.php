<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Sessions\MakeSheets;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Augendo\Core\Day;
use Illuminate\Support\Facades\DB;

/** The days on which an athlete's squads work on a ladder: the training days a season uses before it makes any of its own. */
final class SquadDays
{
    /** @var array<int, true> ordinals of days with a session the athlete takes part in */
    private array $with = [];

    /** @var array<int, true> ordinals of days that had one and have none any more: called off, moved away, taken out */
    private array $lost = [];

    public function __construct(Athlete $athlete, string $ladder, Day $from, Day $to)
    {
        $squads = DB::table('athlete_squad')->where('athlete_id', $athlete->id)->pluck('squad_id');
        $sheets = Sheet::query()
            ->where('athlete_id', $athlete->id)
            ->where('ladder', $ladder)
            ->whereBetween('held_on', [$from->iso(), $to->iso()])
            ->get(['id', 'training_session_id', 'state', 'held_on'])
            ->keyBy('training_session_id');
        $usual = MakeSheets::standing($athlete->id)->first()?->ladder;
        $sessions = TrainingSession::query()
            ->where('extra', false)
            ->where(fn ($all) => $all->whereIn('squad_id', $squads)->orWhereIn('id', $sheets->keys()))
            ->where(fn ($all) => $all
                ->whereBetween('held_on', [$from->iso(), $to->iso()])
                ->orWhereBetween('first_on', [$from->iso(), $to->iso()]))
            ->get();
        foreach ($sessions as $session) {
            $works = $session->ladders === null ? $ladder === $usual : in_array($ladder, $session->ladders, true);
            $sheet = $sheets[$session->id] ?? null;
            if ($sheet === null && (! $works || ($session->has_sheets && ! $session->isOff()))) {
                // Whoever has no sheet in a session that has them does not take part.
                continue;
            }
            $takesPart = ! $session->isOff() && $sheet?->state !== Sheet::CALLED_OFF;
            $takesPart ? $this->with[$session->day()->ordinal] = true : $this->lost[$session->day()->ordinal] = true;
            if ($session->first_on !== null) {
                $this->lost[Day::of(substr($session->first_on, 0, 10))->ordinal] = true;
            }
        }
    }

    /** @return list<int> ordinals */
    public function with(): array
    {
        return array_keys($this->with);
    }

    public function isWith(Day $day): bool
    {
        return isset($this->with[$day->ordinal]);
    }

    /** @return list<int> ordinals */
    public function lost(): array
    {
        return array_keys(array_diff_key($this->lost, $this->with));
    }
}
