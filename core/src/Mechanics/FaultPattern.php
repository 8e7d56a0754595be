<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

/**
 * The fault that leads the last ten observed reps: at least half of at least four faults. Two that come together, each of them twice at
 * least, lead as the pair they are: “too low and too far out” has another cue than either.
 */
final readonly class FaultPattern
{
    public const LAST = 10;

    public const LEAST_FAULTS = 4;

    public const LEAST_SHARE = 0.5;

    /** Each of a pair is seen so often, or it is no pair. */
    public const LEAST_EACH = 2;

    private function __construct(public string $fault, public int $times, public int $faults) {}

    /**
     * @param  list<JudgedRep>  $reps in order of time
     * @param  array<string, array{string, string}>  $pairs  as Library\Rung::pairs
     */
    public static function leading(array $reps, array $pairs = []): ?self
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
        foreach ($pairs as $pair => [$one, $other]) {
            $each = [$times[$one] ?? 0, $times[$other] ?? 0];
            $together = array_sum($each) + ($times[$pair] ?? 0);
            if (min($each) >= self::LEAST_EACH && $together >= self::LEAST_SHARE * count($faults)) {
                return new self($pair, $together, count($faults));
            }
        }
        arsort($times);
        $fault = (string) array_key_first($times);

        return $times[$fault] >= self::LEAST_SHARE * count($faults) ? new self($fault, $times[$fault], count($faults)) : null;
    }
}
