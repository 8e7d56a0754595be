<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

enum Side: string
{
    case Dominant = 'dominant';
    case Other = 'other';
}
