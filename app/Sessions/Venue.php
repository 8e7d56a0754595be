<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Records\Record;

/**
 * Where the club trains, with what is there. Sessions name it; what it was like when they were planned stays theirs.
 *
 * @property string $id
 * @property int $workspace_id
 * @property string $name
 * @property float|null $length_m
 * @property float|null $width_m
 * @property string|null $floor a Surface; null: not known, and counts as hard
 * @property int|null $balls
 * @property list<string>|null $objects ids of the library; null: whatever is asked for is there
 */
final class Venue extends Record
{
    protected function casts(): array
    {
        return ['objects' => 'array', 'length_m' => 'float', 'width_m' => 'float'];
    }

    public static function named(int $workspaceId, ?string $place): ?self
    {
        return $place === null ? null : self::query()->where('workspace_id', $workspaceId)->where('name', $place)->first();
    }
}
