<?php

declare(strict_types=1);

namespace App\Seasons;

use App\People\User;
use App\Sessions\SessionState;
use App\Sessions\Sheet;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Stations\UsualHour;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/** Sessions, matches and goal days as iCalendar. It names squads, never athletes, and says nothing of health. */
final class CalendarFeed
{
    private const DAYS_BACK = 30;

    private const DAYS_AHEAD = 366;

    public function of(User $user): string
    {
        $today = $user->workspace->today();
        $span = [$today->plus(-self::DAYS_BACK)->iso(), $today->plus(self::DAYS_AHEAD)->iso()];
        $athletes = $user->visibleAthletes()->select('athletes.id');
        $zone = $user->workspace->timezone;
        $calendar = new VCalendar([
            'PRODID' => '-//Augendo//Plan//EN',
            'X-WR-CALNAME' => "Augendo, {$user->workspace->name}",
            'X-WR-TIMEZONE' => $zone,
        ]);
        $sessions = DB::table('training_sessions')->join(
            'squads',
            'squads.id',
            '=',
            'training_sessions.squad_id',
        )->whereBetween('held_on', $span)
            ->where('training_sessions.state', SessionState::Planned->value)
            ->where(fn ($seen) => $seen
                ->whereExists(
                    DB::table('sheets')
                        ->whereColumn('training_session_id', 'training_sessions.id')
                        ->where('sheets.state', '!=', Sheet::CALLED_OFF)
                        ->whereIn('athlete_id', $athletes),
                )
                // Weeks ahead nobody has a sheet in it yet.
                ->orWhere(fn ($ahead) => $ahead
                    ->where('has_sheets', false)
                    ->whereIn('training_sessions.squad_id', $user->visibleSquads()->select('squads.id'))))
            ->orderBy('held_on')->orderBy('starts_at')->get([
                'training_sessions.id', 'held_on', 'starts_at', 'title', 'minutes', 'squads.name as squad',
            ]);
        foreach ($sessions as $session) {
            $this->event(
                $calendar, "session-{$session->id}", "{$session->title}, {$session->squad}",
                Carbon::parse(substr($session->held_on, 0, 10)." {$session->starts_at}", $zone),
                (int) ($session->minutes ?? UsualHour::MINUTES),
            );
        }
        $fixtures = Fixture::concerning($athletes)->whereBetween('held_on', $span)->orderBy('held_on')->get();
        foreach ($fixtures as $fixture) {
            assert($fixture instanceof Fixture);
            $this->event(
                $calendar, "fixture-{$fixture->id}", $fixture->title,
                Carbon::parse("{$fixture->day()->iso()} {$fixture->starts_at}", $zone), MatchEvent::MINUTES,
            );
        }
        foreach (
            Season::query()
                ->whereIn('athlete_id', $athletes)
                ->where('state', 'open')
                ->whereBetween('goal_on', $span)
                ->orderBy('goal_on')
                ->get() as $season
        ) {
            assert($season instanceof Season);
            $day = $calendar->createComponent(
                'VEVENT',
                ['UID' => "season-{$season->id}@augendo", 'SUMMARY' => 'Goal day of a season', 'DTSTAMP' => $this->stamp()],
            );
            assert($day instanceof VEvent);
            $day->add('DTSTART', str_replace('-', '', $season->goalOn()->iso()), ['VALUE' => 'DATE']);
            $calendar->add($day);
        }

        return $calendar->serialize();
    }

    private function event(VCalendar $calendar, string $uid, string $summary, Carbon $start, int $minutes): void
    {
        $calendar->add(
            'VEVENT',
            [
                'UID' => "{$uid}@augendo",
                'SUMMARY' => $summary,
                'DTSTART' => $start->copy()->utc()->toDateTimeImmutable(),
                'DTEND' => $start->copy()->addMinutes($minutes)->utc()->toDateTimeImmutable(),
                'DTSTAMP' => $this->stamp(),
            ],
        );
    }

    private function stamp(): \DateTimeImmutable
    {
        return Carbon::now('UTC')->toDateTimeImmutable();
    }
}
