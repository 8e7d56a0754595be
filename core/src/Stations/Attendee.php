<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** Somebody who is there, with the work of their own in the order it is to be done. */
final readonly class Attendee
{
    /**
     * @param  bool  $mayCatch  false: neither feeds, catches nor measures
     * @param  list<Piece>  $work
     * @param  int  $fromMin  minutes from the start before which this one does not begin: late, or still warming up
     */
    public function __construct(public string $id, public bool $mayCatch, public array $work, public int $fromMin = 0) {}
}
