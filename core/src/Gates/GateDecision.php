<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

enum GateDecision: string
{
    case Pause = 'pause';
    case StepBack = 'step_back';
    case Advance = 'advance';
    case Repeat = 'repeat';
    case Hold = 'hold';
    case Collect = 'collect';

    /** Whether it changes nothing for the athlete, so that a coach may take it for several at once; all else is looked at one by one. */
    public function staysOnTheRung(): bool
    {
        return in_array($this, [self::Repeat, self::Hold, self::Collect], true);
    }
}
