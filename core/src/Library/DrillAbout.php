<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/**
 * What a drill that belongs to no rung is about. Scoring and strategy load nothing; practice is
 * the skill itself, and is put on a sheet by a coach alone.
 */
enum DrillAbout: string
{
    case WarmUp = 'warm_up';
    case Footwork = 'footwork';
    case Rehearsal = 'rehearsal';
    case Scoring = 'scoring';
    case Strategy = 'strategy';
    case Practice = 'practice';

    /** Whether it is offered where the work of the day is taken away; a warm-up comes before whatever is. */
    public function isOffered(): bool
    {
        return $this !== self::WarmUp && $this !== self::Practice;
    }
}
