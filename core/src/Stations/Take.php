<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** Work that one athlete can do in one place without leaving it: the next pieces of one skill, in their order. */
final readonly class Take
{
    /**
     * @param  int  $pieces  so many, beginning with the next
     * @param  int  $halfLanes  half a lane when all of them are rehearsal, else a whole one
     * @param  int  $balls  the most any of them needs
     * @param  int  $spaces  which of the hour's spaces can hold all of them: a bit each
     */
    public function __construct(
        public int $pieces,
        public int $seconds,
        public int $halfLanes,
        public int $balls,
        public bool $needsAdult,
        public int $spaces,
    ) {}

    public function fits(int $space): bool
    {
        return ($this->spaces & (1 << $space)) !== 0;
    }
}
