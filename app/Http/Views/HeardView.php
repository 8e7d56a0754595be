<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Whether something about the athlete’s health is new since a session was taken along. */
#[OA\Schema]
final readonly class HeardView
{
    public function __construct(
        /** changes whenever a report, a clearance or a condition comes or goes */
        #[OA\Property]
        public string $health,
    ) {}
}
