<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;

/** A run of like repetitions, done or planned. Null means not known, and counts as the worst it could be. */
final readonly class WorkSet
{
    /**
     * @param  int  $reps  whole, at least 0
     * @param  float|null  $effort  0 to 1
     * @param  int  $legs  1 or 2, the legs that take the landing
     *
     * @throws InvalidValue
     */
    public function __construct(
        public Day $day,
        public string $session,
        public Skill $skill,
        public int $reps,
        public ?float $effort,
        public Implement $implement,
        public ?float $distanceM = null,
        public ?float $speedMs = null,
        public ?float $massKg = null,
        public ?float $referenceMassKg = null,
        public Side $side = Side::Dominant,
        public ?Surface $surface = null,
        public int $legs = 2,
        public ?float $dropCm = null,
    ) {
        if ($reps < 0) {
            throw new InvalidValue("A set cannot have {$reps} repetitions; 0 is the least.");
        }
        if ($effort !== null && ($effort < 0.0 || $effort > 1.0)) {
            throw new InvalidValue("An effort of {$effort} is outside 0 to 1 (0 to 100 %).");
        }
    }

    /**
     * Repetitions of which nobody wrote down more: the usual object, landed the way the skill lands.
     *
     * @param  float|null  $effort  0 to 1
     *
     * @throws InvalidValue
     */
    public static function ordinarily(
        Day $day, string $session, Skill $skill, int $reps, ?float $effort, ?float $distanceM = null, Side $side = Side::Dominant,
    ): self {
        return new self(
            day: $day,
            session: $session,
            skill: $skill,
            reps: $reps,
            effort: $effort,
            implement: $skill->ordinaryImplement(),
            distanceM: $distanceM,
            side: $side,
            legs: $skill->legs,
        );
    }
}
