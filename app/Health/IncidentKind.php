<?php

declare(strict_types=1);

namespace App\Health;

enum IncidentKind: string
{
    case Head = 'head';
    case Fall = 'fall';
    case Hit = 'hit';
    case Strain = 'strain';
    case Other = 'other';
}
