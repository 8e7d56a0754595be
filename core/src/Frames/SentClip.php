<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** For how long a clip may be sent in, how large it may be, and how long it stays. */
final class SentClip
{
    public const OPEN_HOURS = 48;

    /** One that nobody reviewed and nobody kept is deleted after so long. */
    public const STAYS_DAYS = 14;

    public const PART_BYTES = 1_000_000;

    /** About a minute of a phone's ordinary setting. */
    public const MOST_PARTS = 100;
}
