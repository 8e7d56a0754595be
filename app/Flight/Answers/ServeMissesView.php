<?php

declare(strict_types=1);

namespace App\Flight\Answers;

/** Where serves miss, as shares of all. */
final readonly class ServeMissesView
{
    public function __construct(
        public float $net,
        public float $long,
        /** null: a ball without spin drifts by itself, and nothing is told */
        public ?float $right,
        public ?float $left,
    ) {}

    /** @param  array{net: float, long: float, right: float, left: float}  $misses */
    public static function of(array $misses, bool $isWithoutSpin): self
    {
        return new self(
            $misses['net'], $misses['long'], $isWithoutSpin ? null : $misses['right'], $isWithoutSpin ? null : $misses['left'],
        );
    }
}
