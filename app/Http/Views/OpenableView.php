<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A ladder of an athlete with the programmes made for its skill. */
#[OA\Schema]
final readonly class OpenableView
{
    public function __construct(
        #[OA\Property]
        public string $ladder,
        #[OA\Property]
        public string $ladder_name,
        /** @var list<ProgrammeView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ProgrammeView::class))]
        public array $programmes,
    ) {}
}
