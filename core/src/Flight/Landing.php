<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

/** Where and how a ball comes down. */
final readonly class Landing
{
    /**
     * @param  float  $rangeM  x of the place
     * @param  float  $acrossM  y of it, to the left
     */
    public function __construct(public float $rangeM, public float $acrossM, public float $timeS, public float $speedMs) {}
}
