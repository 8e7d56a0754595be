<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** Why a piece of work has no place in the hour. */
enum WhyOut: string
{
    /** no space there can ever hold it */
    case Space = 'space';
    /** it needs more balls than there are */
    case Balls = 'balls';
    /** an adult has to stand by, and there is none */
    case Adult = 'adult';
    case Time = 'time';
}
