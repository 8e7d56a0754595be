<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** A change of the plan that can be taken back. */
final readonly class PlanChangeView
{
    public function __construct(public string $id, public string $sentence, public string $by) {}
}
