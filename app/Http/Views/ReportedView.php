<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What was reported of a part of the body that day. */
#[OA\Schema]
final readonly class ReportedView
{
    public function __construct(
        #[OA\Property]
        public string $site,
        #[OA\Property]
        public ?string $side,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public int $score,
    ) {}
}
