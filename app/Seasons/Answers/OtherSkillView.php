<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** A ladder that could be planned with the others, and what would be asked of it to start with. */
final readonly class OtherSkillView
{
    public function __construct(
        public string $ladder,
        public string $ladder_name,
        public ?string $goal_rung,
        public string $goal_on,
        /** @var list<int> ISO weekdays */
        public array $weekdays,
    ) {}
}
