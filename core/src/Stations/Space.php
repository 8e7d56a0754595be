<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

use Augendo\Core\InvalidValue;
use Augendo\Core\Load\Surface;

/** A part of the field or hall with one direction of throw: one skill at a time is worked in it. */
final readonly class Space
{
    /** Behind a target, and behind the thrower. */
    public const MARGIN_M = 3.0;

    /**
     * @param  float  $lengthM  along the direction of throw
     * @param  int  $lanes  athletes at work side by side; who rehearses without an object needs half a lane
     * @param  Surface|null  $surface  null: not known, counted as hard
     * @param  bool  $sector  whether a far-flying implement may land in it: nobody walks there
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $id,
        public float $lengthM,
        public int $lanes,
        public ?Surface $surface,
        public bool $sector,
    ) {
        if ($lengthM <= 0 || $lanes < 1) {
            throw new InvalidValue("Space “{$id}” needs a length above 0 m and one lane or more.");
        }
    }

    public function isHard(): bool
    {
        return $this->surface === null || $this->surface === Surface::Hard;
    }
}
