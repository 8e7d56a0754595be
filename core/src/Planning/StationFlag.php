<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** Something about a plan for stations that has to be seen to before anybody starts. */
final readonly class StationFlag
{
    /**
     * @param  (
     *     'nobody'|'closed_time'|'closed_adults'|'closed_few'|'crowded'|'short_area'
     *     |'balls'|'gloves'|'hard_floor'|'too_long'|'too_short'|'spare'
     * )  $code
     * @param  float|null  $wanted  metres, balls, athletes, adults or minutes that are needed
     * @param  float|null  $there  what there is
     */
    public function __construct(
        public string $code, public ?Station $station = null, public ?string $who = null, public ?float $wanted = null,
        public ?float $there = null,
    ) {}
}
