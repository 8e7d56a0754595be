<?php

declare(strict_types=1);

namespace App\Library\Answers;

use Augendo\Core\Library\Checkpoint;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Seated;

/** How a ladder is done from a chair. */
final readonly class SeatedView
{
    public function __construct(
        public string $set_up,
        public string $warm_up,
        public string $rehearsal,
        public string $other_side,
        public string $cool_down,
        /** @var list<string> names of the checkpoints that take legs: not looked at */
        public array $without,
    ) {}

    /** @param  array<string, Checkpoint>  $checkpoints  by id */
    public static function of(?Seated $seated, array $checkpoints, Handedness $hand): ?self
    {
        $mirror = fn (string $text): string => ucfirst($hand->mirror($text));

        return $seated === null ? null : new self(
            $mirror($seated->setUp), $mirror($seated->warmUp), $mirror($seated->rehearsal), $mirror($seated->otherSide),
            $mirror($seated->coolDown),
            array_map(fn (string $id): string => $checkpoints[$id]->name ?? $id, $seated->without),
        );
    }
}
