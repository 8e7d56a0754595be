<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

/** A plan may not exceed a hard limit; an advisory one is said. */
enum Severity: string
{
    case Hard = 'hard';
    case Advise = 'advise';
}
