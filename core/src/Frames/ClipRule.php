<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** How far a clip may judge. */
final class ClipRule
{
    private const OWN_EYE_UNDER_YEARS = 16;

    /** Whether a repetition that nobody judged on court stays unjudged, however good a clip shows it. An age not known is the youngest. */
    public static function needsOwnEye(?int $age): bool
    {
        return $age === null || $age < self::OWN_EYE_UNDER_YEARS;
    }
}
