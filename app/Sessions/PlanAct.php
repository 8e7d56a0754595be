<?php

declare(strict_types=1);

namespace App\Sessions;

/** What can be done to the plan of a squad. */
enum PlanAct: string
{
    case Planned = 'planned';
    case Copied = 'copied';
    case Moved = 'moved';
    case Changed = 'changed';
    case CalledOff = 'called_off';
    case Deleted = 'deleted';
    case Closed = 'closed';
    case Joined = 'joined';
    case TakenOut = 'taken_out';
    case Swapped = 'swapped';
}
