<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\Day;
use Augendo\Core\Load\Measure;

/** Where a limit stood, in figures alone: what is kept beside a dose that it lowered, and read again when the rules are others. */
final readonly class LimitFigures
{
    /**
     * @param  string  $kind  of limit: cap, step, level, rest, streak or ratio
     * @param  Measure|null  $measure  what it sums; null for a level
     * @param  'effort'|'distance'|null  $level  of a level limit
     * @param  float|null  $used  from the record only, in the limit's measure; so are projected, max and remaining
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $kind,
        public ?Measure $measure,
        public ?string $level,
        public Status $status,
        public ?float $used,
        public ?float $projected,
        public ?float $max,
        public ?float $remaining,
        public ?Day $earliest,
    ) {}

    public static function of(LimitState $state): self
    {
        $limit = $state->limit;

        return new self(
            id: $limit->id,
            label: $limit->label,
            kind: $limit->kind(),
            measure: $limit->measure,
            level: $limit instanceof LevelLimit ? $limit->level : null,
            status: $state->status,
            used: $state->used,
            projected: $state->projected,
            max: $state->max,
            remaining: $state->remaining,
            earliest: $state->earliest,
        );
    }

    /** @return array<string, string|float|null> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'label' => $this->label,
            'kind' => $this->kind,
            'measure' => $this->measure?->value,
            'level' => $this->level,
            'status' => $this->status->value,
            'used' => $this->used,
            'projected' => $this->projected,
            'max' => $this->max,
            'remaining' => $this->remaining,
            'earliest' => $this->earliest?->iso(),
        ];
    }

    /**
     * @param  array{
     *     id: string, label: string, kind: string, measure: string|null, level: 'effort'|'distance'|null, status: string,
     *     used: float|null, projected: float|null, max: float|null, remaining: float|null, earliest: string|null,
     * }  $kept  as toArray() made it
     */
    public static function fromArray(array $kept): self
    {
        return new self(
            id: $kept['id'],
            label: $kept['label'],
            kind: $kept['kind'],
            measure: $kept['measure'] === null ? null : Measure::from($kept['measure']),
            level: $kept['level'],
            status: Status::from($kept['status']),
            used: $kept['used'],
            projected: $kept['projected'],
            max: $kept['max'],
            remaining: $kept['remaining'],
            earliest: $kept['earliest'] === null ? null : Day::of($kept['earliest']),
        );
    }
}
