<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\Frames\MeasureBand;

/** One observable thing, with what good looks like. */
final readonly class Checkpoint
{
    use CopiesItself;

    /**
     * @param  list<string>  $variants  what good looks like in each school; any of them passes unless a school is chosen
     * @param  MeasureBand|null  $measure  what a picture is asked about it
     * @param  SchoolQuestion|null  $school  the question its variants answer, in the order of the answers
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $good,
        public array $variants = [],
        public ?MeasureBand $measure = null,
        public ?SchoolQuestion $school = null,
    ) {}
}
