<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** Where a serve is to land: metres behind the net, and across from the middle line, to the left of the server above 0. */
final readonly class CourtBox
{
    public function __construct(
        public string $id,
        public string $name,
        public float $nearM,
        public float $farM,
        public float $rightM,
        public float $leftM,
    ) {}
}
