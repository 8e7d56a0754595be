<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** What a repetition may be besides good or faulty: low, high, fouled. It is counted, and judges nothing. */
final readonly class Tag
{
    /** @param  string  $means  what it tells, and what to do about many of them */
    public function __construct(public string $id, public string $name, public string $means) {}
}
