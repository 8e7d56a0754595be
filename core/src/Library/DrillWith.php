<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** Whom a drill takes. */
enum DrillWith: string
{
    case Alone = 'alone';
    case Partner = 'partner';
    case Group = 'group';
}
