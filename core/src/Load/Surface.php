<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

enum Surface: string
{
    case Soft = 'soft';
    case Sprung = 'sprung';
    case Firm = 'firm';
    case Hard = 'hard';

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
