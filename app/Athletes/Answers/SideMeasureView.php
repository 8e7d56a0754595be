<?php

declare(strict_types=1);

namespace App\Athletes\Answers;

/** Something of the body, measured on either side. */
final readonly class SideMeasureView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $unit,
        public string $text,
        /** a side that falls behind by more than is ordinary; null: alike, or not known of both */
        public ?string $differs,
        /** @var list<MeasuredView> the latest first */
        public array $measured,
    ) {}
}
