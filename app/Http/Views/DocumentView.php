<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A return programme, a rule set or a ladder, as it stands in its document. */
#[OA\Schema]
final readonly class DocumentView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        /** whether it is the club's own copy */
        #[OA\Property]
        public bool $own,
        #[OA\Property]
        public int $version,
        /** the file, by its schema in library/schema/ */
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $definition,
    ) {}
}
