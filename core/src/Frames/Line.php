<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

use Augendo\Core\InvalidValue;

/** A line drawn in a picture, from one point to another. */
final readonly class Line
{
    /** @throws InvalidValue */
    public function __construct(public Point $from, public Point $to)
    {
        if ($this->way()->length() === 0.0) {
            throw new InvalidValue('Both ends of the line are one point. Draw it longer.');
        }
    }

    public function way(): Point
    {
        return $this->to->from($this->from);
    }

    /** How far a point lies off the line, in pixels: positive to the right of its direction as seen. */
    public function offset(Point $point): float
    {
        return $point->from($this->from)->dot($this->way()->turnedRight()) / $this->way()->length();
    }
}
