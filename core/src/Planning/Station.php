<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Load\Surface;

/** A place where a group works on the same blocks while the others are elsewhere. */
final readonly class Station
{
    /**
     * @param  list<BlockKind>  $kinds  blocks worked here
     * @param  float  $lengthM  of the area
     * @param  int  $capacity  athletes at once
     * @param  bool  $needsAdult  whether somebody grown-up has to stand there
     * @param  Surface|null  $surface  null: not known, counted as hard
     * @param  bool  $gloves  whether there are gloves to catch with
     * @param  int  $ballsEach  balls or implements for each athlete at work
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $id,
        public string $title,
        public array $kinds,
        public float $lengthM,
        public int $capacity,
        public bool $needsAdult,
        public ?Surface $surface,
        public bool $gloves,
        public int $ballsEach,
    ) {
        if ($lengthM <= 0 || $capacity < 1 || $ballsEach < 0) {
            throw new InvalidValue(
                "Station “{$title}” needs an area longer than 0 m, room for at least one, and no fewer than 0 balls.",
            );
        }
    }
}
