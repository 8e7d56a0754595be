<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** The athlete as named on every screen. */
final readonly class AthleteCardView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $given_name,
        public ?int $age,
        /** @var 'right'|'left' */
        public string $throwing_side,
        /** under nine: drawn faces stand for scores */
        public bool $young,
    ) {}
}
