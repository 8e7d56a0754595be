<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** A stretch of the session in which everybody is in one place, or rests. */
final readonly class Round
{
    /**
     * @param  int  $startMin  from the start of the session
     * @param  list<Place>  $places
     * @param  list<string>  $off  ids of those who rest, away from all spaces
     */
    public function __construct(public int $startMin, public int $minutes, public array $places, public array $off) {}

    public function endMin(): int
    {
        return $this->startMin + $this->minutes;
    }
}
