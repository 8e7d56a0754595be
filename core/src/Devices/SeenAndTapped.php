<?php

declare(strict_types=1);

namespace Augendo\Core\Devices;

/** What counters saw of one athlete beside what was tapped. Until somebody says what the others were, the larger number is the load. */
final readonly class SeenAndTapped
{
    private function __construct(public int $seen, public int $tapped) {}

    /** @param  list<int>  $seen  by each counter, without what a person said was no repetition: two counters see the same repetitions */
    public static function of(array $seen, int $tapped): self
    {
        return new self(max([0, ...$seen]), $tapped);
    }

    /** @return int repetitions that are load: what was not tapped is not held to be none */
    public function load(): int
    {
        return $this->tapped + $this->beyond();
    }

    /** @return int repetitions that nobody tapped */
    public function beyond(): int
    {
        return max(0, $this->seen - $this->tapped);
    }
}
