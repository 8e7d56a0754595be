<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** A piece of work that has no place in the hour. */
final readonly class LeftOut
{
    /** @param  int  $work  position in the athlete's own work */
    public function __construct(public string $id, public int $work, public WhyOut $why) {}
}
