<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Frames\MeasureBand;

/** One observable thing, with what good looks like. */
final readonly class Checkpoint
{
    /**
     * @param  list<string>  $variants  what good looks like in each school; any of them passes unless a coach keeps one in an own copy
     * @param  MeasureBand|null  $measure  what a picture is asked about it
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $good,
        public array $variants = [],
        public ?MeasureBand $measure = null,
    ) {}
}
