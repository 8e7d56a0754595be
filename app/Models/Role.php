<?php

declare(strict_types=1);

namespace App\Models;

enum Role: string
{
    case Coach = 'coach';
    case Assistant = 'assistant';
    case Clinician = 'clinician';

    /** Run sessions and record what happens. */
    public function records(): bool
    {
        return $this === self::Coach || $this === self::Assistant;
    }

    /** Plan doses and move athletes on their ladders. */
    public function decides(): bool
    {
        return $this === self::Coach;
    }

    /** Record a clearance: a clinician's own, or the coach's record of a document. */
    public function clears(): bool
    {
        return $this === self::Coach || $this === self::Clinician;
    }
}
