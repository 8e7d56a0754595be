<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** After idle days the next session starts lower. What was missed is never made up. */
final class LayoffRule
{
    public const BEGIN_AGAIN_DAYS = 29;

    /**
     * @param  int|null  $idleDays days since the channel last worked; null when it never has
     * @return float share of the dose
     */
    public static function share(?int $idleDays): float
    {
        return match (true) {
            $idleDays === null, $idleDays < 8 => 1.0,
            $idleDays < 15 => 0.8,
            default => 0.6,
        };
    }
}
