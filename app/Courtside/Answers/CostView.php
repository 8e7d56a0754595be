<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use Augendo\Core\Load\Side;

/** What one repetition on one side takes of a bound. */
final readonly class CostView
{
    public function __construct(
        /** @var value-of<Side> */
        public string $side,
        public string $limit_id,
        public float $per_rep,
    ) {}
}
