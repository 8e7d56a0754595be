<?php

declare(strict_types=1);

namespace App\Sessions;

/** Whether a session takes place. */
enum SessionState: string
{
    case Planned = 'planned';
    /** Stays on the calendar, with its reason. */
    case CalledOff = 'called_off';
    /** Out of sight; kept so that it can be taken back. */
    case Deleted = 'deleted';
}
