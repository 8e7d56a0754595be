<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A ladder a score may belong to. */
#[OA\Schema]
final readonly class ScoreLadderView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        /** the rung on which where it lands is not looked at yet; null when it counts */
        #[OA\Property]
        public ?string $ignored_on,
    ) {}
}
