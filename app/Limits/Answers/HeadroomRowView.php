<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** One effort. */
final readonly class HeadroomRowView
{
    public function __construct(
        public float $effort,
        /** @var list<HeadroomCellView> */
        public array $cells,
    ) {}
}
