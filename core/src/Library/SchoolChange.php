<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** One thing a school changes on a rung. */
final readonly class SchoolChange
{
    /**
     * @param  'tempo'|'varied'|'effort'|'left_out'|'outcome'|'variant'|'seat'|'looked_at'  $what
     * @param  string  $about  title of the block, name of the checkpoint, or the rung itself; what is done from a chair
     * @param  string  $before  a tempo, yes or no, an effort from 0 to 1, or the variants
     */
    public function __construct(
        public string $rung,
        public string $what,
        public string $about,
        public string $before,
        public string $after,
    ) {}
}
