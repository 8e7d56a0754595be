<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\People\User;
use App\Records\Record;
use Augendo\Core\Spreadsheets\Kind;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A spreadsheet somebody brings in.
 *
 * @property string $id
 * @property int $workspace_id
 * @property Kind $kind
 * @property string $file_name
 * @property int $parts
 * @property ImportState $state
 * @property list<string>|null $header
 * @property array<string, mixed>|null $choices
 * @property array<string, mixed>|null $found
 * @property int $version rises with each choice
 * @property int $rows
 * @property int $done
 * @property ImportFault|null $fault
 * @property int $made_by
 * @property Carbon $made_at
 * @property Carbon|null $taken_at
 * @property Carbon|null $taken_back_at
 * @property string|null $reason why it was taken back
 */
final class Import extends Record
{
    public $timestamps = false;

    protected $attributes = [
        'header' => null, 'choices' => null, 'found' => null, 'version' => 1, 'rows' => 0, 'done' => 0, 'fault' => null,
        'taken_at' => null, 'taken_back_at' => null, 'reason' => null,
    ];

    protected function casts(): array
    {
        return [
            'kind' => Kind::class, 'state' => ImportState::class, 'fault' => ImportFault::class,
            'header' => 'array', 'choices' => 'array', 'found' => 'array',
            'made_at' => 'datetime', 'taken_at' => 'datetime', 'taken_back_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }

    public function choices(): ImportChoices
    {
        return ImportChoices::of($this->kind, $this->header ?? [], $this->choices ?? []);
    }
}
