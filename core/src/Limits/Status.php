<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

enum Status: string
{
    case Within = 'within';
    case Near = 'near';
    case Over = 'over';
    case Low = 'low';
    case Unknown = 'unknown';
}
