<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** What is carried from one session to the next. */
final class NextTime
{
    /** A note for next time is read at sessions of so many days. Longer ago nobody remembers what was meant. */
    public const REMEMBERED_DAYS = 60;
}
