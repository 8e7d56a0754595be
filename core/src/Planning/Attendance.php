<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** How somebody attended a session of the squad. */
enum Attendance: string
{
    case Came = 'came';
    case Late = 'late';
    case LeftEarly = 'left_early';
    case NotThere = 'not_there';
    case Away = 'away';
    case NotCounted = 'not_counted';

    /** Whoever stopped so many minutes before the last one did has left early. */
    private const EARLY_MIN = 10;

    /**
     * What was counted stands over what was marked: somebody marked as not there who was counted came after all.
     *
     * @param  'planned'|'running'|'finished'|'called_off'  $state  of their sheet; one that was called off was taken out beforehand
     * @param  bool  $markedAbsent  at the session
     * @param  int  $lateMin  minutes they came late, as marked at the session
     * @param  int|null  $minutes  theirs, once finished
     * @param  int|null  $longestMin  of all who finished
     */
    public static function of(string $state, bool $markedAbsent, int $lateMin, ?int $minutes, ?int $longestMin): self
    {
        return match (true) {
            $state === 'called_off' => self::Away,
            $state === 'planned' => $markedAbsent ? self::NotThere : self::NotCounted,
            $minutes !== null && $longestMin !== null && $longestMin - $minutes >= self::EARLY_MIN => self::LeftEarly,
            $lateMin > 0 => self::Late,
            default => self::Came,
        };
    }

    /** Whoever was away beforehand is not missed. */
    public function wasExpected(): bool
    {
        return $this !== self::Away;
    }

    public function wasThere(): bool
    {
        return in_array($this, [self::Came, self::Late, self::LeftEarly], true);
    }

    /** Of two sheets of one session, such as one that was swapped, the one that says more. */
    public function over(?self $other): self
    {
        $place = fn (self $of): int => (int) array_search($of, self::cases(), true);

        return $other === null || $place($this) < $place($other) ? $this : $other;
    }
}
