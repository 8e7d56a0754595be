<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

use Augendo\Core\Day;

/** What the way back asked for on a day, in figures alone: kept beside what was done about it. */
final readonly class StepAsked
{
    /**
     * @param  string  $action  of the engine's step, see ReturnStep
     * @param  int  $stage  it leads to, from 0
     * @param  Day|null  $waitsUntil  first day it may be done, when that has not come
     */
    public function __construct(public string $action, public int $stage, public ?Day $waitsUntil) {}

    public static function of(StageWork $work): self
    {
        return new self($work->step->action, $work->step->stage, $work->why === 'not_before' ? $work->notBefore : null);
    }

    /** @return array{action: string, stage: int, waits_until: string|null} */
    public function toArray(): array
    {
        return ['action' => $this->action, 'stage' => $this->stage, 'waits_until' => $this->waitsUntil?->iso()];
    }

    /** @param  array{action: string, stage: int, waits_until: string|null}  $kept  as toArray() made it */
    public static function fromArray(array $kept): self
    {
        return new self($kept['action'], $kept['stage'], $kept['waits_until'] === null ? null : Day::of($kept['waits_until']));
    }
}
