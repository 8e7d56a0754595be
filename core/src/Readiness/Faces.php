<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

/** Drawn faces instead of numbers, for those who cannot put a feeling in a number yet. */
final class Faces
{
    private const UNDER_YEARS = 9;

    /** @param  int|null  $age  whole years; who is of unknown age reads numbers */
    public static function standForScores(?int $age): bool
    {
        return $age !== null && $age < self::UNDER_YEARS;
    }
}
