<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** What a day holds of one skill. */
final readonly class SkillsItemView
{
    public function __construct(
        /** of the skill in the coach's order, from 0 */
        public int $skill,
        public ?string $rung,
        public string $emphasis,
        public string $emphasis_name,
        /** whether what it loads needs its rest afterwards */
        public bool $heavy,
        public int $own_reps,
        public bool $begins,
        public float $arm,
        public float $landings,
        /** @var list<string> */
        public array $why,
    ) {}
}
