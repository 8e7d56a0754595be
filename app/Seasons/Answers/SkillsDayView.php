<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** A day of all skills. */
final readonly class SkillsDayView
{
    public function __construct(
        public string $date,
        /** @var list<SkillsItemView> in the coach's order */
        public array $items,
        /** a match */
        public ?string $match,
        /** whether something else is planned */
        public bool $beside,
        public float $arm,
        public float $landings,
        /** the hard limit that stands fullest, and its share */
        public ?string $fullest,
        public ?float $fullest_share,
    ) {}
}
