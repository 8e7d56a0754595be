<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** What a rung is begun with because of what the last four weeks carried. */
final readonly class Beginning
{
    /**
     * @param  float  $share  of the rung's repetitions, where there is no day of the season before it
     * @param  float  $carried  share of them that the last weeks carried: after a rung of the season no more than that day had, or this
     * @param  float|null  $effort  implied by what was done of the skill, 0 to 1; null: none of it, or it has no effort
     * @param  float|null  $distanceM  mean of what was thrown of the skill; null: no distances are known
     */
    public function __construct(
        public float $share = 0.8,
        public float $carried = 0.0,
        public ?float $effort = null,
        public ?float $distanceM = null,
    ) {}

    /** The same as shares of a dose that is so many times the rung's. */
    public function of(float $times): self
    {
        return new self($this->share / $times, $this->carried / $times, $this->effort, $this->distanceM);
    }
}
