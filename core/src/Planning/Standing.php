<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\DoseShares;

/** Where an athlete stands on a ladder when a season is planned, and how they get on. */
final readonly class Standing
{
    /**
     * @param  string  $rung  id
     * @param  int  $sessions  finished on the rung, with repetitions of its own dose
     * @param  Pace|null  $reached  the dose of the last heavy day on it; before the first on it, of the last on the rung before
     * @param  DoseShares  $shares  of the repetitions of a rung, at the athlete's age
     * @param  LearningRate|null  $rate  null: nothing is known of it
     */
    public function __construct(
        public string $rung,
        public int $sessions = 0,
        public ?Pace $reached = null,
        public DoseShares $shares = new DoseShares(asked: 1.0, begun: 0.8, most: 1.0),
        public ?LearningRate $rate = null,
    ) {}
}
