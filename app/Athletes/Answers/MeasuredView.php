<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** Something measured on a day. */
final readonly class MeasuredView
{
    public function __construct(
        public string $id,
        public string $date,
        public float $value,
        /** @var 'left'|'right'|null */
        public ?string $side,
    ) {}
}
