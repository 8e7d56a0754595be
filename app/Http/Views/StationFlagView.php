<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What has to be seen to before anybody starts. */
#[OA\Schema]
final readonly class StationFlagView
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $sentence,
    ) {}
}
