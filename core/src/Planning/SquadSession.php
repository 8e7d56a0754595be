<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;

/** A session of a squad, as one athlete's season on one ladder sees it. */
final readonly class SquadSession
{
    /**
     * @param  Day|null  $firstOn  the day it was on before it was moved
     * @param  bool  $worksOnIt  on the ladder of the season
     * @param  bool  $isOff  called off or deleted
     * @param  bool  $hasSheets  everybody who takes part has a sheet: false weeks ahead
     * @param  bool|null  $takesPart  false: taken out; null: there is no sheet of the athlete on this ladder
     */
    public function __construct(
        public Day $on,
        public ?Day $firstOn,
        public bool $worksOnIt,
        public bool $isOff,
        public bool $hasSheets,
        public ?bool $takesPart,
    ) {}

    /** Whether the season has anything to do with it. Without a sheet in a session that has them, the athlete does not take part. */
    public function concerns(): bool
    {
        return $this->takesPart !== null || ($this->worksOnIt && (! $this->hasSheets || $this->isOff));
    }
}
