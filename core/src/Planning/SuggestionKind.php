<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** What of a season the record of an athlete may say something about. */
enum SuggestionKind: string
{
    /** Units a session costs at the most, because of the mornings after. */
    case Units = 'units';
    /** Repetitions of the rung in a session, because quality fell after so many. */
    case Reps = 'reps';
    /** Effort asked for, because more was given than was asked. */
    case Effort = 'effort';
}
