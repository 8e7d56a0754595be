<?php

declare(strict_types=1);

namespace App\Library\Answers;

use App\Courtside\Answers\FaultView;
use App\Courtside\Answers\TagView;

/** A rung as it would be read, planned and counted if the ladder were kept so. */
final readonly class RungPreviewView
{
    public function __construct(
        /** with the doses of somebody of that age who has nothing on record */
        public LibraryRungView $rung,
        /** @var list<FaultView> as they are tapped courtside */
        public array $faults,
        /** @var list<TagView> */
        public array $tags,
        /** @var list<PreviewBlockView> as a sheet and the court have them */
        public array $blocks,
    ) {}
}
