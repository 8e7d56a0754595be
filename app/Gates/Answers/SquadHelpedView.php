<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** What several athletes of a squad tried, taken together. */
final readonly class SquadHelpedView
{
    public function __construct(
        public string $tried,
        public string $ladder_name,
        /** @var list<string> those who tried it, by their given names */
        public array $athletes,
        public float $difference,
        public float $low,
        public float $high,
        /** @var 'better'|'worse'|'too few to tell' */
        public string $says,
        public string $sentence,
    ) {}
}
