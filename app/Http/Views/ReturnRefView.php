<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A return by its state. */
#[OA\Schema]
final readonly class ReturnRefView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public AthleteCardView $athlete,
        #[OA\Property]
        public string $programme,
        #[OA\Property]
        public string $site,
        /** from 1 */
        #[OA\Property]
        public int $stage,
        #[OA\Property]
        public int $of,
        #[OA\Property]
        public string $stage_name,
        #[OA\Property]
        public string $action,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public string $awaited,
        #[OA\Property]
        public string $awaited_from,
        #[OA\Property]
        public ?string $not_before,
        #[OA\Property(enum: ['open', 'done', 'closed'])]
        public string $state,
    ) {}
}
