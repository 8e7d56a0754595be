<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Why a season is not quite what was asked, and the way out. */
#[OA\Schema]
final readonly class SeasonProblemView
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $what,
        #[OA\Property]
        public string $way_out,
    ) {}
}
