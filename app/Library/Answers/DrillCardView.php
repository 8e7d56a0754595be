<?php

declare(strict_types=1);

namespace App\Library\Answers;

use Augendo\Core\Library\DrillWith;
use Augendo\Core\Load\Channel;

/** A drill as it is looked up. */
final readonly class DrillCardView
{
    public function __construct(
        public string $title,
        public string $text,
        /** the fault it mends; empty: none */
        public string $mends,
        public string $cue,
        public string $dose,
        public ?string $stop,
        /** @var list<string> names of the ladders it is on */
        public array $ladders,
        public string $skill,
        /** @var value-of<DrillWith> */
        public string $with,
        /** @var list<value-of<Channel>> the parts it loads */
        public array $loads,
        /** needs a sector */
        public bool $far,
        public bool $safety,
        public ?FigurePoseView $picture,
        /** is done from a chair, too */
        public bool $seated,
    ) {}
}
