<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Squad;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Something that was done to the plan of a squad, as a whole: with what was there before, so that it can be taken back.
 *
 * @property string $id
 * @property int $squad_id
 * @property PlanAct $kind
 * @property array{
 *     title: string, day: string, starts_at: string, sessions: int, to?: string, to_starts_at?: string, reason?: string, athlete?: string,
 * } $about
 * @property array{
 *     sessions: list<array<string, mixed>>, sheets: list<array<string, mixed>>, made: list<string>, made_sheets: list<string>,
 *     doses?: list<array{sheet: array<string, mixed>, blocks: list<array<string, mixed>>, version: int}>,
 * } $before
 * @property int $made_by
 * @property Carbon $made_at
 * @property Carbon|null $taken_back_at
 */
final class SessionChange extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return [
            'kind' => PlanAct::class, 'about' => 'array', 'before' => 'array', 'made_at' => 'datetime', 'taken_back_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Squad, $this> */
    public function squad(): BelongsTo
    {
        return $this->belongsTo(Squad::class);
    }

    /** @return list<string> ids of the sessions it touched or made */
    public function sessionIds(): array
    {
        return [...array_column($this->before['sessions'], 'id'), ...$this->before['made']];
    }

    /** Ids grow with time, the clock of one second does not. */
    public function isLaterThan(self $other): bool
    {
        return [$this->made_at->getTimestamp(), $this->id] > [$other->made_at->getTimestamp(), $other->id];
    }
}
