<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** What the coach took, and left, of what the record says. */
final readonly class HeededView
{
    public function __construct(
        /** a session costs at the most; null: not held */
        public ?float $units,
        /** repetitions of the rung a session; null: not held */
        public ?int $reps,
        /** taken off every effort, 0 to 1 */
        public float $effort_less,
        /** @var list<'units'|'reps'|'effort'> */
        public array $left,
    ) {}
}
