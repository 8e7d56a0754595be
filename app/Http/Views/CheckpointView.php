<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** One observable thing. */
#[OA\Schema]
final readonly class CheckpointView
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $good,
        /** @var list<string> what good looks like in each school; any of them passes */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $variants,
    ) {}
}
