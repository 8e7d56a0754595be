<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

/** What is changed of a serve, and what share of it is in then. */
final readonly class ServeChange
{
    /**
     * @param  float  $pace  share of the speed that is kept, 0 to 1
     * @param  float  $topspinRpm  more than now
     * @param  float  $higherM  contact
     * @param  float  $aimed  how much nearer the middle of the window the aim is, 0 to 1
     * @param  float|null  $share  in, 0 to 1; null: not worked out
     */
    public function __construct(
        public float $pace,
        public float $topspinRpm,
        public float $higherM,
        public float $aimed,
        public ?float $share,
    ) {}

    /** Example prices of our own: what is as hard to change as one point. */
    public function price(): float
    {
        return (1.0 - $this->pace) / 0.05 + $this->topspinRpm / 200.0 + $this->higherM / 0.05 + $this->aimed / 0.5;
    }
}
