<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

use Augendo\Core\Day;

final readonly class StageClearance
{
    /** @param  int|null  $throughStage null for all stages */
    public function __construct(public Day $day, public ?int $throughStage) {}

    public function covers(int $stage): bool
    {
        return $this->throughStage === null || $this->throughStage >= $stage;
    }
}
