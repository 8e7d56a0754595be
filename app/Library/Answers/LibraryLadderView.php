<?php

declare(strict_types=1);

namespace App\Library\Answers;

use App\Courtside\Answers\CheckpointView;
use App\Courtside\Answers\TagView;

/** A ladder as a page of a manual, mirrored for one hand. */
final readonly class LibraryLadderView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $summary,
        public int $version,
        /** @var list<string> */
        public array $cautions,
        /** @var list<string> */
        public array $needs,
        /** @var list<FigurePoseView> */
        public array $figures,
        /** @var list<CheckpointView> */
        public array $checkpoints,
        /** @var list<LibraryFaultView> */
        public array $faults,
        /** null: it is not done from a chair, or nobody has said how */
        public ?SeatedView $seated,
        /** @var list<TagView> what a repetition may be besides good or faulty */
        public array $tags,
        /** @var list<LibraryRungView> */
        public array $rungs,
        /** @var list<string> squads that are taught it another way, and how */
        public array $taught,
        /** what is thrown at which age; null: it is the same at every age */
        public ?string $sizes,
        /** whether it is the club's own copy */
        public bool $own,
        public ?string $copied_from,
        /** @var list<LadderVersionView> newest first; none of a ladder that ships */
        public array $versions,
    ) {}
}
