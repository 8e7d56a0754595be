<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One thing to practise. */
#[OA\Schema]
final readonly class HomeworkBlockView
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $dose,
        #[OA\Property]
        public ?int $hold_s,
    ) {}
}
