<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** Whether the work a sheet is for was taken away, or was swapped already. */
final readonly class SwapStateView
{
    public function __construct(
        /** @var 'due'|'taken' */
        public string $state,
        /** the change of the plan by which a swap is taken back */
        public ?string $change_id,
    ) {}
}
