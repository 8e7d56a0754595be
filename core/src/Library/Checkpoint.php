<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** One observable thing, with what good looks like. */
final readonly class Checkpoint
{
    public function __construct(public string $id, public string $name, public string $good) {}
}
