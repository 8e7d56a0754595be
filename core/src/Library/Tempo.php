<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** How the parts of a motion follow each other. */
enum Tempo: string
{
    case Held = 'held';
    case Segmented = 'segmented';
    case Counted = 'counted';
    case SlowThenFast = 'slow_then_fast';
    case Continuous = 'continuous';
}
