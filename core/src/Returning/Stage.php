<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

final readonly class Stage
{
    public function __construct(public int $passes = 1, public int $minGapDays = 2, public bool $needsClearance = false) {}
}
