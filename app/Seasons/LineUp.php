<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Records\Record;

/**
 * Somebody who plays in a match, with what that is expected to take.
 *
 * @property string $id
 * @property string $fixture_id
 * @property string $athlete_id
 * @property list<array{skill: string, reps: int, felt: string|null}> $doses
 */
final class LineUp extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['doses' => 'array'];
    }
}
