<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** A test of a skill. */
final readonly class TestView
{
    public function __construct(
        public string $skill,
        public string $ladder_name,
        public string $name,
        /** @var 'longest_throw_m'|'reference_speed_ms'|'jump_cm' */
        public string $measures,
        public string $unit,
        public string $text,
        /** when it is due, or why it is not given */
        public string $due,
        public bool $lapsed,
        /** @var list<MeasuredView> the latest first */
        public array $measured,
    ) {}
}
