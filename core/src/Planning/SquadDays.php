<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;

/** The days on which an athlete's squads work on a ladder: what a season trains on before it makes any day of its own. */
final readonly class SquadDays
{
    /**
     * @param  list<int>  $with  ordinals of days with a session the athlete takes part in
     * @param  list<int>  $lost  ordinals of days that had one and have none any more: called off, moved away, taken out
     */
    private function __construct(public array $with, public array $lost) {}

    /** @param  list<SquadSession>  $sessions */
    public static function of(array $sessions): self
    {
        $with = $lost = [];
        foreach ($sessions as $session) {
            if (! $session->concerns()) {
                continue;
            }
            if ($session->isOff || $session->takesPart === false) {
                $lost[$session->on->ordinal] = true;
            } else {
                $with[$session->on->ordinal] = true;
            }
            if ($session->firstOn !== null) {
                $lost[$session->firstOn->ordinal] = true;
            }
        }

        return new self(array_keys($with), array_keys(array_diff_key($lost, $with)));
    }

    public function isWith(Day $day): bool
    {
        return in_array($day->ordinal, $this->with, true);
    }
}
