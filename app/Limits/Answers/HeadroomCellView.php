<?php

declare(strict_types=1);

namespace App\Limits\Answers;

/** What is left at one effort and distance. */
final readonly class HeadroomCellView
{
    public function __construct(
        public ?float $distance_m,
        /** null: no limit is set for this work */
        public ?int $reps,
        /** more than any session holds */
        public bool $plenty,
        /** @var list<string> */
        public array $binding,
        /** first day the wanted repetitions fit; null within five weeks */
        public ?string $fits_on,
    ) {}
}
