<?php

declare(strict_types=1);

namespace App\Health;

use App\Records\Record;

/**
 * @property string $id
 * @property string $athlete_id
 * @property string $at
 * @property array<array-key, mixed>|null $sites
 * @property string $clinician_name
 * @property string $clinician_role
 * @property string $document_date
 * @property string|null $note
 * @property int $recorded_by
 * @property string $received_at
 */
final class Clearance extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['sites' => 'array'];
    }
}
