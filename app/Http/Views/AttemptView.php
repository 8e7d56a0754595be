<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One go at a stage. */
#[OA\Schema]
final readonly class AttemptView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $day,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public ?int $next_morning,
        /** whether the missed morning may still be entered by hand */
        #[OA\Property]
        public bool $may_enter_morning,
    ) {}
}
