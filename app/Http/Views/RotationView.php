<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** Where this athlete’s group goes, on the one clock of the session. */
#[OA\Schema]
final readonly class RotationView
{
    public function __construct(
        #[OA\Property]
        public string $session_id,
        #[OA\Property]
        public int $minutes,
        #[OA\Property]
        public int $change_over_min,
        /** @var list<string> titles of the stations in the order this group walks them */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $stations,
    ) {}
}
