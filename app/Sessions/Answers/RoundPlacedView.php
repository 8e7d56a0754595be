<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** Somebody in a place for a round. */
final readonly class RoundPlacedView
{
    public function __construct(
        public string $athlete_id,
        public string $name,
        /** @var 'works'|'feeds'|'catches'|'measures' */
        public string $task,
        /** @var list<DoseLineView> the own doses, in their order; none for who helps */
        public array $doses,
        /** the names of who throws with them */
        public string $with,
        /** @var list<string> drills that cost no limit, in the time the own work leaves */
        public array $then,
    ) {}
}
