<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

enum Criterion: string
{
    case Evidence = 'evidence';
    case Mechanics = 'mechanics';
    case Streak = 'streak';
    case Safety = 'safety';
    case Fade = 'fade';
    case Soreness = 'soreness';
    case Readiness = 'readiness';
    case Load = 'load';
    case Prerequisites = 'prerequisites';
    case Clearance = 'clearance';

    /** Mechanics may be overridden by a coach with a written reason; load, soreness, word and clearance may not. */
    public function mayBeOverridden(): bool
    {
        return in_array($this, [self::Evidence, self::Mechanics, self::Streak, self::Fade], true);
    }
}
