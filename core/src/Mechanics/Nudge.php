<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

use Augendo\Core\Tolerance;

/** What the last repetitions ask of a coach: rest when quality falls, go back when the old fault is back. A nudge, never a decision. */
final class Nudge
{
    /** The old fault is back when it shows in this many of so many. */
    public const RETURNS_TIMES = 3;

    public const RETURNS_OF = 5;

    public const WINDOW = 10;

    /** Quality falls when the last ten lie this far below the best ten of the session. */
    public const FALL = 0.2;

    /**
     * @param  list<JudgedRep>  $reps  of one session, in order
     * @return array{'returns', string}|array{'falls', float}|null the fault that is back, or by how much the good rate fell; quality first
     */
    public static function of(array $reps): ?array
    {
        $observed = array_values(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good !== null));
        $good = array_map(fn (JudgedRep $rep): int => $rep->good === true ? 1 : 0, $observed);
        if (count($good) >= 2 * self::WINDOW) {
            $best = 0;
            for ($i = 0; $i + self::WINDOW <= count($good); $i++) {
                $best = max($best, array_sum(array_slice($good, $i, self::WINDOW)));
            }
            $fall = (float) ($best - array_sum(array_slice($good, -self::WINDOW))) / self::WINDOW;
            if (Tolerance::atLeast($fall, self::FALL)) {
                return ['falls', $fall];
            }
        }
        $times = array_count_values(
            array_filter(
                array_map(
                    fn (JudgedRep $rep): ?string => $rep->good === false ? $rep->fault : null,
                    array_slice($observed, -self::RETURNS_OF),
                ),
            ),
        );
        arsort($times);
        $fault = array_key_first($times);

        return $fault !== null && $times[$fault] >= self::RETURNS_TIMES ? ['returns', (string) $fault] : null;
    }
}
