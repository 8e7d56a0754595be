<?php

declare(strict_types=1);

namespace App\Athletes;

/** Works out the rows of one screen, one an athlete; KeptRows keeps them. */
interface MakesRows
{
    /** @return 'today'|'gates' */
    public function screen(): string;

    /** @return array<string, mixed> by athlete id, of everybody of that day; to be written as JSON */
    public function made(AthletesDay $day): array;
}
