<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** What importing one file does, or what stands in the way. */
#[OA\Schema]
final readonly class LadderImportView
{
    public function __construct(
        #[OA\Property]
        public string $file,
        #[OA\Property]
        public ?string $name,
        #[OA\Property]
        public int $rungs,
        #[OA\Property]
        public ?string $becomes,
        /** @var list<LibraryProblemView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LibraryProblemView::class))]
        public array $problems,
    ) {}
}
