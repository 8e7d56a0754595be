<?php

declare(strict_types=1);

namespace App\Http\Views;

use OpenApi\Attributes as OA;

/** A ladder as a page of a manual, mirrored for one hand. */
#[OA\Schema]
final readonly class LibraryLadderView
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $summary,
        #[OA\Property]
        public int $version,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $cautions,
        /** @var list<string> */
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $needs,
        /** @var list<FigurePoseView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: FigurePoseView::class))]
        public array $figures,
        /** @var list<CheckpointView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: CheckpointView::class))]
        public array $checkpoints,
        /** @var list<LibraryFaultView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LibraryFaultView::class))]
        public array $faults,
        /** @var list<LibraryRungView> */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LibraryRungView::class))]
        public array $rungs,
        /** whether it is the club's own copy */
        #[OA\Property]
        public bool $own,
        #[OA\Property]
        public ?string $copied_from,
        /** @var list<LadderVersionView> newest first; none of a ladder that ships */
        #[OA\Property(type: 'array', items: new OA\Items(ref: LadderVersionView::class))]
        public array $versions,
    ) {}
}
