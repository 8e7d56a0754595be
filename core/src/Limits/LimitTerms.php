<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

use Augendo\Core\CopiesItself;

/** What every limit says of itself: its name, who says it, how strictly, for which ages, on which sets. */
final readonly class LimitTerms
{
    use CopiesItself;

    /** @param  array{int, int}|null  $ages whole years from–to, both included; null for every age */
    public function __construct(
        public string $id,
        public string $label,
        public string $source,
        public Severity $severity,
        public ?array $ages = null,
        public LimitFilter $filter = new LimitFilter,
    ) {}
}
