<?php

declare(strict_types=1);

namespace Augendo\Core\Courtside;

/** Two devices that count one athlete would count every repetition twice. */
final class CountedElsewhere
{
    /** For so many minutes after its last repetition another device is taken to be counting still. */
    public const STILL_MIN = 10;
}
