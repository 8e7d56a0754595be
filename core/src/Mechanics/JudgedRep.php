<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

use Augendo\Core\Instant;

/** One repetition as it was judged. A rep nobody saw counts as load, not as evidence. */
final readonly class JudgedRep
{
    /**
     * @param  bool|null  $good  null when not observed
     * @param  bool  $safety  whether it showed a safety fault
     * @param  string|null  $fault  key of the named fault
     */
    public function __construct(
        public Instant $at,
        public string $session,
        public ?bool $good,
        public bool $safety = false,
        public ?string $fault = null,
    ) {}
}
