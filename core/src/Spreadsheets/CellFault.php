<?php

declare(strict_types=1);

namespace Augendo\Core\Spreadsheets;

/** Why a cell, or a row, cannot be used. */
enum CellFault: string
{
    case Missing = 'missing';
    case NoDay = 'no day';
    case NotYet = 'not yet';
    case LongAgo = 'long ago';
    case NoNumber = 'no number';
    case OutOfRange = 'out of range';
    case UnclearEffort = 'unclear effort';
    case UnknownWord = 'unknown word';
    case UnknownName = 'unknown name';
    case TwoOfThatName = 'two of that name';
    case TwiceInTheFile = 'twice in the file';
}
