<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A rule set as it stands in its document. */
#[OA\Schema]
final readonly class RuleSetFileView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public bool $own,
        #[OA\Property]
        public int $version,
        #[OA\Property(type: 'object')]
        public object $definition,
    ) {}
}
