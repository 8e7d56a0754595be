<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** Where the ball of a repetition comes from. */
enum Feed: string
{
    case None = 'none';
    case SelfToss = 'self_toss';
    case Drop = 'drop';
    case Partner = 'partner';
    case Coach = 'coach';
    case Machine = 'machine';
    case Live = 'live';
}
