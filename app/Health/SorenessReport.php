<?php

declare(strict_types=1);

namespace App\Health;

use App\Athletes\Athlete;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $id
 * @property string $athlete_id
 * @property string $at
 * @property string $day
 * @property string $moment
 * @property string $site
 * @property string|null $side
 * @property string $kind
 * @property int $score
 * @property bool $refers
 * @property string|null $note
 * @property int|null $reported_by
 * @property string $received_at
 * @property int|null $link_id
 * @property string|null $withdrawn_at
 */
final class SorenessReport extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return ['refers' => 'boolean'];
    }

    /** @return BelongsTo<Athlete, $this> */
    public function athlete(): BelongsTo
    {
        return $this->belongsTo(Athlete::class);
    }
}
