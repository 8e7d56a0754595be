<?php

declare(strict_types=1);

namespace App\Spreadsheets;

/** Why a spreadsheet came no further. */
enum ImportFault: string
{
    case NotReadable = 'not readable';
    case Empty = 'empty';
    case TooManyRows = 'too many rows';
    case TooWide = 'too wide';
    case UnclearDates = 'unclear dates';
    case UnclearUnit = 'unclear unit';
    /** What it would do is another thing than what was looked at. */
    case ChangedMeanwhile = 'changed meanwhile';
    /** Somebody who came with it has a record of their own now. */
    case HasARecord = 'has a record';
    case SquadIsGone = 'squad is gone';
    case Broke = 'broke';
}
