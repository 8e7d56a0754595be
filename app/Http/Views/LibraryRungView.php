<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A rung as a page of a manual. */
#[OA\Schema]
final readonly class LibraryRungView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $goal,
        #[OA\Property]
        public bool $outcome_ignored,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $checkpoints,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $faults,
        /** @var list<LibraryBlockView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LibraryBlockView::class))]
        public array $blocks,
        #[OA\Property]
        public string $gate,
    ) {}
}
