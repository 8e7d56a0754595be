<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A tap as the server keeps it. */
#[OA\Schema]
final readonly class RepEventView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $block_id,
        #[OA\Property]
        public int $set_no,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public ?string $target_id,
        #[OA\Property]
        public ?string $verdict,
        #[OA\Property]
        public ?string $fault,
        #[OA\Property]
        public string $side,
        #[OA\Property]
        public string $at,
        #[OA\Property]
        public int $seq,
        /** what is being tried from here on; empty: as before */
        #[OA\Property]
        public ?string $note,
        /** asked; felt, for how a set felt */
        #[OA\Property]
        public ?float $effort,
        #[OA\Property]
        public ?float $distance_m,
        /** @var array<string, string>|null right or wrong by checkpoint, where somebody looked that closely */
        #[OA\Property(type: 'object', nullable: true, additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public ?array $seen,
        #[OA\Property]
        public string $device,
    ) {}
}
