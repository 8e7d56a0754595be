<?php

declare(strict_types=1);

namespace App\Courtside\Answers;

use Augendo\Core\Library\Fault;
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
        /** @var list<string> the two faults that come together in it; none of a single one */
        public array $pair,
    ) {}

    /** As it reads for somebody of one side. */
    public static function of(Fault $fault, Handedness $side): self
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
            pair: $fault->pair ?? [],
        );
    }
}
