<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Day;
use Augendo\Core\Readiness\Moment;

/** A soreness score of the channels and side that the rung loads. */
final readonly class DaySoreness
{
    public function __construct(public Day $day, public Moment $moment, public int $score) {}
}
