<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

enum Moment: string
{
    case Morning = 'morning';
    case Before = 'before';
    case Warmup = 'warmup';
    case During = 'during';
    case After = 'after';
}
