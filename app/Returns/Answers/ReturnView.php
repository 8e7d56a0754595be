<?php

declare(strict_types=1);

namespace App\Returns\Answers;

use App\Gates\Answers\UnmetView;

/** A return with everything behind it. */
final readonly class ReturnView
{
    public function __construct(
        public ReturnRefView $ref,
        public string $summary,
        /** @var list<string> */
        public array $cautions,
        public string $ladder_name,
        /** @var 'full'|'unknown'|'reduced'|'none'|'refer' of the returning place today */
        public string $word,
        /** whether the step shown can be accepted now */
        public bool $acceptable,
        /** why it cannot */
        public ?string $hindrance,
        /** from 0, to be sent back with the acceptance */
        public int $action_stage,
        /** @var list<UnmetView> */
        public array $unmet,
        /** @var list<StageView> */
        public array $stages,
        /** @var list<AttemptView> */
        public array $attempts,
        /** @var list<string> */
        public array $clearances,
        /** @var list<StepTakenView> */
        public array $steps,
        /** @var list<string> */
        public array $measures,
        public string $opened_on,
        /** the limit of the weeks after */
        public ?string $after,
    ) {}
}
