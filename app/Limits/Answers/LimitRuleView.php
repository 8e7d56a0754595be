<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** One limit of a rule set, with its values by age. */
final readonly class LimitRuleView
{
    public function __construct(
        /** in the rule set, without age and side */
        public string $id,
        /** whether it can be more or less for one athlete */
        public bool $scalable,
        public string $label,
        public bool $hard,
        /** what it sums and over what */
        public string $about,
        public bool $per_side,
        /** who says so */
        public string $source,
        /** @var list<LimitBandView> */
        public array $bands,
    ) {}
}
