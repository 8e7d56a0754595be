<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

/** The fault that leads the last ten observed reps: at least half of at least four faults. */
final readonly class FaultPattern
{
    public const LAST = 10;

    public const LEAST_FAULTS = 4;

    public const LEAST_SHARE = 0.5;

    private function __construct(public string $fault, public int $times, public int $faults) {}

    /** @param  list<JudgedRep>  $reps in order of time */
    public static function leading(array $reps): ?self
    {
        $observed = array_filter($reps, fn (JudgedRep $rep): bool => $rep->good !== null);
        $faults = array_filter(array_map(
            fn (JudgedRep $rep): ?string => $rep->good === true ? null : $rep->fault,
            array_slice(array_values($observed), -self::LAST),
        ));
        if (count($faults) < self::LEAST_FAULTS) {
            return null;
        }
        $times = array_count_values($faults);
        arsort($times);
        $fault = (string) array_key_first($times);

        return $times[$fault] >= self::LEAST_SHARE * count($faults) ? new self($fault, $times[$fault], count($faults)) : null;
    }
}
