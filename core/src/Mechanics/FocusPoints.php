<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

use Augendo\Core\Library\Fault;

/** What to work on next: two or three faults at most, in order of importance, from what was seen last. */
final class FocusPoints
{
    /** They come from so many of the last sessions. */
    public const SESSIONS = 2;

    public const MOST = 3;

    /** What a review of pictures asked for is worked on for so many days; then what is seen speaks again. */
    public const ASKED_HOLDS_DAYS = 14;

    /** A fault seen once may be chance; one that can hurt counts at once. */
    private const LEAST_TIMES = 2;

    /**
     * @param  list<JudgedRep>  $reps  of the last sessions on the rung
     * @param  list<Fault>  $faults  of the rung, likeliest first
     * @param  list<string>  $asked  ids of faults that somebody who looked at pictures wants worked on, in order
     * @return list<Fault> those that can hurt first, then what was asked for, then by how often they were seen
     */
    public static function of(array $reps, array $faults, array $asked = []): array
    {
        $times = array_count_values(
            array_filter(array_map(fn (JudgedRep $rep): ?string => $rep->good === true ? null : $rep->fault, $reps)),
        );
        $seen = array_values(
            array_filter($faults, fn (Fault $fault): bool => ($times[$fault->id] ?? 0) >= ($fault->safety ? 1 : self::LEAST_TIMES)),
        );
        usort($seen, fn (Fault $a, Fault $b): int => [$b->safety, $times[$b->id]] <=> [$a->safety, $times[$a->id]]);

        $byId = array_column($faults, null, 'id');
        $wanted = array_filter(array_map(fn (string $id): ?Fault => $byId[$id] ?? null, $asked));
        $hurting = array_filter($seen, fn (Fault $fault): bool => $fault->safety);
        $ordered = [];
        foreach ([...$hurting, ...$wanted, ...$seen] as $fault) {
            $ordered[$fault->id] = $fault;
        }

        return array_slice(array_values($ordered), 0, self::MOST);
    }
}
