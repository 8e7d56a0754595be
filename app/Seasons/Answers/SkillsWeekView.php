<?php

declare(strict_types=1);

namespace App\Seasons\Answers;

/** A week of all skills. */
final readonly class SkillsWeekView
{
    public function __construct(
        public int $number,
        public string $monday,
        public bool $lighter,
        /** units of both arms, matches and what is planned beside with them */
        public float $arm,
        public float $landings,
        /** @var list<float> arm units of each skill, in the coach's order */
        public array $arm_of,
        /** @var list<SkillsDayView> Monday to Sunday */
        public array $days,
    ) {}
}
