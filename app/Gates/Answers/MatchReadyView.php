<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** The gate to a match. */
final readonly class MatchReadyView
{
    public function __construct(
        public bool $open,
        /** when it was said, and by whom; null when it has not been, or was taken back by a step back or a pause since */
        public ?string $since,
        /** @var list<CriterionView> */
        public array $criteria,
    ) {}
}
