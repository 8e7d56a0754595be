<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A squad to choose. */
#[OA\Schema]
final readonly class SquadView
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        /** `strict` or `graded`; null: by age */
        #[OA\Property]
        public ?string $school,
        /** of its usual hall or field; null: not said, and that counts as hard */
        #[OA\Property]
        public ?string $floor,
    ) {}
}
