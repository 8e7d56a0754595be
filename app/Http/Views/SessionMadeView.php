<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What became of planning a session. */
#[OA\Schema]
final readonly class SessionMadeView
{
    public function __construct(
        #[OA\Property]
        public int $sheets,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $left_out,
    ) {}
}
