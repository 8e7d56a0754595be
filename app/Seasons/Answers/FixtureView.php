<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** A match, training at another club, or work beside the skill, with what it is expected to take. */
final readonly class FixtureView
{
    public function __construct(
        public string $id,
        /** @var 'match'|'elsewhere'|'beside' */
        public string $kind,
        /** @format date */
        public string $day,
        public string $starts_at,
        public string $title,
        /** the expected work in words */
        public string $sentence,
        /** null: the whole squad */
        public ?string $athlete_id,
        public ?string $athlete_name,
        /** how many play; null: nobody has said, so everybody */
        public ?int $players,
    ) {}
}
