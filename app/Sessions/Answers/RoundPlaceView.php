<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** What is done in a space for a round, by whom. */
final readonly class RoundPlaceView
{
    public function __construct(
        public string $space_id,
        public string $title,
        public string $skill,
        /** somebody grown-up stands there */
        public bool $adult,
        /** hard: thrown one way, on a call, collected together */
        public bool $one_way,
        /** @var list<RoundPlacedView> those at work first */
        public array $athletes,
    ) {}
}
