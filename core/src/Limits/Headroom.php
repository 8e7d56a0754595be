<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

final readonly class Headroom
{
    /**
     * @param  int|null  $reps  repetitions that still fit; null when no limit binds
     * @param  list<Limit>  $binding  hard limits that are over at one more
     */
    public function __construct(public ?int $reps, public array $binding) {}
}
