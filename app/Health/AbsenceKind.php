<?php

declare(strict_types=1);

namespace App\Health;

/** Why somebody is not there. */
enum AbsenceKind: string
{
    case Exams = 'exams';
    case Travel = 'travel';
    case Holiday = 'holiday';
    case Ill = 'ill';
    case Other = 'other';
}
