<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Gates\Gate;

/**
 * How many sessions a rung takes, as a multiple of what its gate asks for at the least. The logarithm of that multiple is taken as normal,
 * with the squad's mean as what is believed beforehand and the athlete's own rungs as what is seen (normal mean with known spread, the
 * conjugate prior): few rungs move it little, many outweigh the squad.
 */
final readonly class LearningRate
{
    /** Nobody climbs by the least their gate asks: with nothing on record half as much again. */
    private const BELIEVED = 1.5;

    /** The belief counts as much as so many rungs of the squad. */
    private const BELIEVED_RUNGS = 3;

    /** Of the logarithm: between athletes of a squad, and between rungs of one athlete. */
    private const BETWEEN_ATHLETES = 0.35;

    private const BETWEEN_RUNGS = 0.5;

    /** Early and late hold four fifths of what may come. */
    private const EIGHTY_PERCENT_Z = 1.2816;

    /**
     * @param  float  $early  sessions as a multiple of the gate's least
     * @param  int  $ownRungs  how many rungs of the athlete it rests on
     * @param  int  $squadRungs  and how many of the squad
     */
    private function __construct(
        public float $early,
        public float $likely,
        public float $late,
        public int $ownRungs,
        public int $squadRungs,
    ) {}

    /**
     * @param  list<float>  $own  sessions each rung took the athlete, as a multiple of its gate's least
     * @param  list<float>  $squad  the same of the others
     */
    public static function of(array $own, array $squad): self
    {
        $log = fn (float $multiple): float => log(max(1.0, $multiple));
        $believed = (self::BELIEVED_RUNGS * log(self::BELIEVED) + array_sum(array_map($log, $squad)))
            / (self::BELIEVED_RUNGS + count($squad));
        $prior = 1.0 / self::BETWEEN_ATHLETES ** 2;
        $seen = count($own) / self::BETWEEN_RUNGS ** 2;
        $mean = ($prior * $believed + array_sum(array_map($log, $own)) / self::BETWEEN_RUNGS ** 2) / ($prior + $seen);
        $spread = self::EIGHTY_PERCENT_Z / sqrt($prior + $seen);

        return new self(
            early: max(1.0, exp($mean - $spread)),
            likely: max(1.0, exp($mean)),
            late: max(1.0, exp($mean + $spread)),
            ownRungs: count($own),
            squadRungs: count($squad),
        );
    }

    /** @return float the sessions a rung took, as a multiple of what its gate asks at the least */
    public static function took(Gate $gate, int $sessions): float
    {
        return $sessions / max(1, $gate->minSessions);
    }

    /**
     * Sessions a rung takes at a rate.
     *
     * @param  float  $multiple  early, likely or late
     * @param  int  $reps  judged repetitions a session
     */
    public static function sessions(Gate $gate, float $multiple, int $reps): int
    {
        return max((int) ceil($gate->minSessions * $multiple - 1e-9), (int) ceil($gate->minReps / max(1, $reps)));
    }
}
