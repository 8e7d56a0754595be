<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** Where an athlete stands on a ladder when a season is planned. */
final readonly class Standing
{
    /**
     * @param  string  $rung  id
     * @param  int  $sessions  finished on the rung, with repetitions of its own dose
     * @param  Pace|null  $reached  the dose of the last heavy day on it
     */
    public function __construct(public string $rung, public int $sessions = 0, public ?Pace $reached = null) {}
}
