<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\Limits\Limit;

/** A named, versioned collection of limits. */
final readonly class RuleSet
{
    /** @param  list<Limit>  $limits */
    public function __construct(
        public string $id,
        public int $version,
        public string $name,
        public string $notice,
        public array $limits,
    ) {}
}
