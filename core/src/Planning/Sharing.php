<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** Who gives way where two skills of one athlete do not both fit. */
enum Sharing: string
{
    /** What comes later in the coach's order. */
    case InOrder = 'in_order';

    /** Nobody: each is kept its part of what it would do alone. */
    case Evenly = 'evenly';
}
