<?php

declare(strict_types=1);

namespace App\People;

use App\Records\Record;

enum Role: string
{
    case Coach = 'coach';
    case Assistant = 'assistant';
    case Clinician = 'clinician';
    case Athlete = 'athlete';
    case Guardian = 'guardian';

    /** Run sessions and record what happens. */
    public function records(): bool
    {
        return $this === self::Coach || $this === self::Assistant;
    }

    /** Plan doses, move athletes on their ladders, and look after who may see what. */
    public function decides(): bool
    {
        return $this === self::Coach;
    }

    /** Record a clearance: a clinician's own, or the coach's record of a document. */
    public function clears(): bool
    {
        return $this === self::Coach || $this === self::Clinician;
    }

    /** Works with squads; the others see single athletes they are bound to. */
    public function seesSquads(): bool
    {
        return $this->records();
    }
}
