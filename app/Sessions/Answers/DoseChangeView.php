<?php

declare(strict_types=1);

namespace App\Sessions\Answers;

/** What somebody would do, and what they would do instead. */
final readonly class DoseChangeView
{
    public function __construct(
        public string $athlete_id,
        public string $name,
        /** @var list<DoseLineView> without what is the same in both */
        public array $before,
        /** @var list<DoseLineView> likewise */
        public array $after,
    ) {}
}
