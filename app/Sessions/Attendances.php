<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Sessions\Answers\AttendanceRowView;
use App\Sessions\Answers\AttendanceView;
use App\Sessions\Answers\AttendedSessionView;
use Augendo\Core\Planning\Attendance;
use Illuminate\Support\Collection;

/** Who came, and how often lately. */
final class Attendances
{
    private const SESSIONS = 8;

    /** @param  Collection<int, Athlete>  $athletes  of the session, whom the reader may see */
    public static function of(TrainingSession $session, Collection $athletes): AttendanceView
    {
        $sessions = self::lately($session);
        $sheets = Sheet::query()
            ->whereIn('training_session_id', $sessions->pluck('id'))
            ->whereIn('athlete_id', $athletes->pluck('id'))
            ->get(['training_session_id', 'athlete_id', 'state', 'minutes'])
            ->groupBy('training_session_id');
        $marks = [];
        foreach ($sessions as $each) {
            $marks[] = self::marks($each, $sheets[$each->id] ?? collect());
        }

        return new AttendanceView(
            sessions: array_values($sessions->map(
                fn (TrainingSession $each): AttendedSessionView => new AttendedSessionView($each->id, $each->day()->iso(), $each->title),
            )->all()),
            rows: array_values($athletes->unique('id')->sortBy(fn (Athlete $athlete): string => $athlete->name())->map(
                fn (Athlete $athlete): AttendanceRowView => self::row($session, $athlete, array_map(
                    fn (array $of): ?Attendance => $of[$athlete->id] ?? null, $marks,
                )),
            )->all()),
        );
    }

    /** @return Collection<int, TrainingSession> the last of the squad up to this one, in order of time */
    private static function lately(TrainingSession $session): Collection
    {
        $before = TrainingSession::query()
            ->where('squad_id', $session->squad_id)
            ->where('id', '!=', $session->id)
            ->where('state', SessionState::Planned->value)
            ->where('extra', false)
            ->where(fn ($query) => $query->where('held_on', '<', $session->held_on)->orWhere(
                fn ($same) => $same->where('held_on', $session->held_on)->where('starts_at', '<', $session->starts_at),
            ))
            ->orderByDesc('held_on')->orderByDesc('starts_at')
            ->limit(self::SESSIONS - 1)
            ->get();

        return collect([...$before->reverse()->values()->all(), $session]);
    }

    /**
     * @param  Collection<int, Sheet>  $sheets  of the session
     * @return array<string, Attendance> by athlete
     */
    private static function marks(TrainingSession $session, Collection $sheets): array
    {
        $longest = $sheets->max('minutes');
        $marks = [];
        foreach ($sheets as $sheet) {
            $mark = Attendance::of(
                state: $sheet->state,
                markedAbsent: in_array($sheet->athlete_id, $session->stations['absent'] ?? [], true),
                lateMin: (int) ($session->stations['late'][$sheet->athlete_id] ?? 0),
                minutes: $sheet->minutes,
                longestMin: $longest,
            );
            $marks[$sheet->athlete_id] = $mark->over($marks[$sheet->athlete_id] ?? null);
        }

        return $marks;
    }

    /** @param  list<Attendance|null>  $marks */
    private static function row(TrainingSession $session, Athlete $athlete, array $marks): AttendanceRowView
    {
        $expected = array_filter($marks, fn (?Attendance $mark): bool => $mark?->wasExpected() ?? false);

        return new AttendanceRowView(
            athlete: Cards::athlete($athlete, $session->day()),
            marks: array_map(fn (?Attendance $mark): ?string => $mark?->value, $marks),
            there: count(array_filter($expected, fn (Attendance $mark): bool => $mark->wasThere())),
            of: count($expected),
        );
    }
}
