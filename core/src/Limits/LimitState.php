<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;

/** Where a limit stands on a day, in the limit's own measure. */
final readonly class LimitState
{
    /**
     * @param  float|null  $used  from the record only
     * @param  float|null  $projected  record and plan
     * @param  Day|null  $earliest  of a rest limit: the first day such work is allowed again
     */
    public function __construct(
        public Limit $limit,
        public ?float $used,
        public ?float $projected,
        public ?float $max,
        public ?float $remaining,
        public Status $status,
        public ?Day $earliest = null,
    ) {}

    /**
     * @param  list<self>  $states
     * @return self|null the one that stands fullest, the first of equals
     */
    public static function fullest(array $states): ?self
    {
        $fullest = null;
        foreach ($states as $state) {
            if ($fullest === null || $state->share() > $fullest->share()) {
                $fullest = $state;
            }
        }

        return $fullest;
    }

    /** @return float how full: 1 at the limit; 0 where nothing can be said in one number */
    public function share(): float
    {
        $amount = max($this->used ?? 0.0, $this->projected ?? 0.0);

        return match (true) {
            $this->isOver() => max(1.0, $this->max > 0.0 ? $amount / $this->max : 1.0),
            $this->max > 0.0 => $amount / $this->max,
            default => 0.0,
        };
    }

    public function isOver(): bool
    {
        return $this->status === Status::Over;
    }
}
