<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\InvalidValue;

/** A ball as a point mass that the air holds back. Discs and javelins fly on lift from their attitude: none of this is about them. */
final readonly class Ball
{
    /**
     * @param  float  $massKg  above 0
     * @param  float  $diameterM  above 0
     * @param  float  $dragCoefficient  on the area of its cross-section; 0 without air
     *
     * @throws InvalidValue
     */
    public function __construct(public float $massKg, public float $diameterM, public float $dragCoefficient)
    {
        if ($massKg <= 0.0 || $diameterM <= 0.0 || $dragCoefficient < 0.0) {
            throw new InvalidValue('A ball has a mass and a diameter above 0, and a drag coefficient of 0 or more.');
        }
    }

    public function radiusM(): float
    {
        return $this->diameterM / 2;
    }

    public function crossSectionM2(): float
    {
        return M_PI * $this->radiusM() ** 2;
    }
}
