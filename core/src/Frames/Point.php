<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** A place in a picture, or the way from one to another: pixels, x to the right and y down. */
final readonly class Point
{
    public function __construct(public float $x, public float $y) {}

    public function from(self $start): self
    {
        return new self($this->x - $start->x, $this->y - $start->y);
    }

    public function halfwayTo(self $other): self
    {
        return new self(($this->x + $other->x) / 2, ($this->y + $other->y) / 2);
    }

    public function moved(float $x, float $y): self
    {
        return new self($this->x + $x, $this->y + $y);
    }

    public function dot(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y;
    }

    public function length(): float
    {
        return hypot($this->x, $this->y);
    }

    /** A quarter turn clockwise as seen, y being down. */
    public function turnedRight(): self
    {
        return new self(-$this->y, $this->x);
    }

    /** The same way, one pixel long; null where there is no way. */
    public function unit(): ?self
    {
        $length = $this->length();

        return $length > 0.0 ? new self($this->x / $length, $this->y / $length) : null;
    }

    /**
     * The angle at this point between two others.
     *
     * @return float|null degrees, 0 to 180; null where one of them lies here
     */
    public function angleBetween(self $one, self $other): ?float
    {
        [$a, $b] = [$one->from($this), $other->from($this)];
        if ($a->length() === 0.0 || $b->length() === 0.0) {
            return null;
        }

        // By the tangent: the cosine is blind near 0 and 180 degrees.
        return rad2deg(abs(atan2($a->x * $b->y - $a->y * $b->x, $a->dot($b))));
    }
}
