<?php

declare(strict_types=1);

namespace App\Gates\Answers;

/** A gate held against its evidence. */
final readonly class GateView
{
    public function __construct(
        /** @var 'pause'|'step_back'|'advance'|'repeat'|'hold'|'collect' */
        public string $decision,
        /** the decision in one sentence */
        public string $headline,
        /** @var list<string> what exactly is missing */
        public array $missing,
        /** @var list<CriterionView> */
        public array $criteria,
        public int $observed,
        public int $good,
        public ?float $rate,
        public ?float $lower_bound,
        /** the last ten judged repetitions, oldest first: g, b or u each, a capital for a safety fault */
        public string $strip,
    ) {}
}
