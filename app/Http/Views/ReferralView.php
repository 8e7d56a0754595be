<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** An open referral and what closes it. */
#[OA\Schema]
final readonly class ReferralView
{
    public function __construct(
        #[OA\Property]
        public string $report_at,
        #[OA\Property]
        public string $site,
        #[OA\Property]
        public ?string $side,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public int $score,
        #[OA\Property]
        public string $sentence,
    ) {}
}
