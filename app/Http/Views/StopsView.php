<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What a report made while working would mean for each block. */
#[OA\Schema]
final readonly class StopsView
{
    public function __construct(
        /** @var list<string> site|side, in the order of the rows */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $places,
        /** @var array<string, string> each moment by the one it reads as */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public array $moments,
        /** @var list<StopFromView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: StopFromView::class))]
        public array $rows,
    ) {}
}
