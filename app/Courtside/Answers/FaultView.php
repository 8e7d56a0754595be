<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use App\Library\Answers\FigurePoseView;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Figures;
use Augendo\Core\Library\Handedness;

/** A fault with its cue and drill. */
final readonly class FaultView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $cue,
        public string $drill,
        public bool $safety,
        /** the checkpoint it fails */
        public string $checkpoint,
        /** the drill written out, and when to stop it; null: nobody has */
        public ?string $how,
        public ?string $stop,
        /** what the drill looks like; null: nobody has drawn it */
        public ?FigurePoseView $picture,
        /** @var list<string> the two faults that come together in it; none of a single one */
        public array $pair,
    ) {}

    /** As it reads for somebody of one side. */
    public static function of(Fault $fault, Handedness $side, Figures $figures): self
    {
        return new self(
            id: $fault->id,
            name: $fault->name,
            cue: $side->mirror($fault->cue),
            drill: $side->mirror($fault->drill),
            safety: $fault->safety,
            checkpoint: $fault->checkpoint,
            how: $fault->how === null ? null : $side->mirror($fault->how),
            stop: $fault->stop === null ? null : $side->mirror($fault->stop),
            picture: FigurePoseView::ofPicture($figures, $fault->picture, $side),
            pair: $fault->pair ?? [],
        );
    }
}
