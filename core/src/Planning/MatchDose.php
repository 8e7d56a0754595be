<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\InvalidValue;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Skill;

/** Repetitions of one skill that a match is expected to cost. */
final readonly class MatchDose
{
    /**
     * @param  float|null  $effort  0 to 1; null: not known, counted as full
     *
     * @throws InvalidValue
     */
    public function __construct(public Skill $skill, public int $reps, public ?float $effort, public Side $side = Side::Dominant)
    {
        if ($reps < 0) {
            throw new InvalidValue("A match of {$reps} repetitions cannot be; 0 is the least.");
        }
    }
}
