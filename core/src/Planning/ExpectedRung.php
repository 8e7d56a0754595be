<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;

/** When a rung is begun, at the rate the athlete learns: four in five lie between early and late. Moving on stays the coach's act. */
final readonly class ExpectedRung
{
    /**
     * @param  string  $rung  id
     * @param  Day|null  $likely  null: not within half a year of the goal
     */
    public function __construct(public string $rung, public ?Day $early, public ?Day $likely, public ?Day $late) {}
}
