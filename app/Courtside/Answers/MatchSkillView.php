<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

/** Something counted in a match. */
final readonly class MatchSkillView
{
    public function __construct(
        public string $id,
        public string $name,
        /** @var list<CostView> */
        public array $costs,
        /** why it is not for today */
        public ?string $blocked,
    ) {}
}
