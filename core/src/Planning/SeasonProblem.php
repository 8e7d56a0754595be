<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;

/** Why a season is not quite what was asked, for the edge to put in words. */
final readonly class SeasonProblem
{
    /**
     * @param  'goal_past'|'no_free_day'|'too_near'|'nothing_fits'|'match_trimmed'|'match_during_return'|'elsewhere_over'|'stopped'  $code
     * @param  Day|null  $day  the match; or the first day on which the goal can be reached
     * @param  list<string>  $limits  labels of those that leave nothing, or trim the match
     */
    public function __construct(
        public string $code, public ?Day $day = null, public array $limits = [], public ?int $of = null,
        public ?int $fits = null,
    ) {}
}
