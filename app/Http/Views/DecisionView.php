<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A decision as it was taken. */
#[OA\Schema]
final readonly class DecisionView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $day,
        #[OA\Property]
        public string $ladder_name,
        #[OA\Property]
        public string $rung_name,
        #[OA\Property]
        public string $to_rung_name,
        #[OA\Property]
        public string $action,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public string $by,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $evidence,
        #[OA\Property]
        public ?string $reason,
    ) {}
}
