<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

enum Surface: string
{
    case Soft = 'soft';
    case Sprung = 'sprung';
    case Firm = 'firm';
    case Hard = 'hard';

    /**
     * The floor somebody lands on who may be sent to any of several places: nobody lands on a hard or unknown one while there is
     * another, and of
     * those that are left the hardest counts.
     *
     * @param  non-empty-list<self|null>  $floors
     */
    public static function landedOn(array $floors): ?self
    {
        $kind = array_filter($floors, fn (?self $floor): bool => $floor !== null && $floor !== self::Hard);
        if ($kind === []) {
            return in_array(null, $floors, true) ? null : self::Hard;
        }
        usort($kind, fn (?self $a, ?self $b): int => self::factor($b) <=> self::factor($a));

        return $kind[0];
    }

    /** Share of a landing that the floor gives back to the body; an unknown floor counts as the hardest. */
    public static function factor(?self $surface): float
    {
        return match ($surface) {
            self::Soft, self::Sprung => 0.8,
            self::Firm => 1.0,
            self::Hard, null => 1.25,
        };
    }
}
