<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** How one figure differs from another, and whether that can be told. A device tells it the same way: resources/app/rules/frame.ts. */
final readonly class FigureChange
{
    /**
     * @param  float  $by  the second less the first, in the figure's unit
     * @param  float  $off  how far that may be off, 95 of 100
     * @param  bool  $isTold  a change no larger than it may be off is none that can be told
     */
    private function __construct(public float $by, public float $off, public bool $isTold) {}

    /**
     * @param  array{float, float}  $first  value, and one standard deviation of it
     * @param  array{float, float}  $second
     */
    public static function between(array $first, array $second): self
    {
        $by = $second[0] - $first[0];
        $off = MeasureBand::SURE_SD * hypot($first[1], $second[1]);

        return new self($by, $off, abs($by) > $off);
    }
}
