<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

/** Two tries to bring a ball in: what the first may risk depends on the second. */
final readonly class TwoServes
{
    /**
     * @param  float  $first  share of first serves that are in, 0 to 1
     * @param  float  $second  of second serves
     * @param  float  $wonFirst  points won of those with the first serve in
     * @param  float  $wonSecond  of those with the second in
     */
    public function __construct(private float $first, private float $second, private float $wonFirst, private float $wonSecond) {}

    /** @return float chance of a double fault, 0 to 1 */
    public function doubleFault(): float
    {
        return (1.0 - $this->first) * (1.0 - $this->second);
    }

    /** @return float points won on one's own serve, 0 to 1 */
    public function won(): float
    {
        return $this->first * $this->wonFirst + (1.0 - $this->first) * $this->wonOnSecond();
    }

    /** @return float the same when the second serve is hit twice */
    public function wonWithSecondTwice(): float
    {
        return $this->wonOnSecond() + (1.0 - $this->second) * $this->wonOnSecond();
    }

    /** @return float|null the share of first serves above which it is worth its risk; null: no share makes it so */
    public function worthFrom(): ?float
    {
        $gain = $this->wonFirst - $this->wonOnSecond();
        $needed = $this->wonWithSecondTwice() - $this->wonOnSecond();

        return $gain <= 0.0 || $needed > $gain ? null : $needed / $gain;
    }

    private function wonOnSecond(): float
    {
        return $this->second * $this->wonSecond;
    }
}
