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
}
