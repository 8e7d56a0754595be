<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

/** A cubic through the value and the slope at both ends of one step: what happened within it. */
final readonly class Hermite
{
    private float $square;

    private float $cube;

    /**
     * @param  float  $from  value at the start
     * @param  float  $slope  there, by step
     * @param  float  $to  value at the end
     * @param  float  $slopeAtEnd  there, by step
     */
    public function __construct(private float $from, private float $slope, float $to, float $slopeAtEnd)
    {
        $rise = $to - $from;
        $this->square = 3 * $rise - 2 * $slope - $slopeAtEnd;
        $this->cube = $slope + $slopeAtEnd - 2 * $rise;
    }

    /** @param  float  $share  of the step, 0 to 1 */
    public function at(float $share): float
    {
        return $this->from + $share * ($this->slope + $share * ($this->square + $share * $this->cube));
    }

    public function slopeAt(float $share): float
    {
        return $this->slope + $share * (2 * $this->square + 3 * $share * $this->cube);
    }

    /**
     * Where it passes a value: Newton's way, halving where that leads out.
     *
     * @param  float  $low  share of the step at which it is on one side of the value
     * @param  float  $high  and one at which it is on the other
     */
    public function whereIs(float $value, float $low = 0.0, float $high = 1.0): float
    {
        $falls = $this->at($low) > $value;
        $share = ($low + $high) / 2;
        for ($i = 0; $i < 60 && $high - $low > 1e-15; $i++) {
            $off = $this->at($share) - $value;
            if ($off === 0.0) {
                break;
            }
            if (($off > 0.0) === $falls) {
                $low = $share;
            } else {
                $high = $share;
            }
            $slope = $this->slopeAt($share);
            $next = $slope === 0.0 ? $low : $share - $off / $slope;
            if (abs($next - $share) < 1e-15) {
                break;
            }
            $share = $next > $low && $next < $high ? $next : ($low + $high) / 2;
        }

        return $share;
    }

    /** Where the slope turns from above 0 to below: by halving, since it does so once within a step. */
    public function top(): float
    {
        [$low, $high] = [0.0, 1.0];
        for ($i = 0; $i < 50; $i++) {
            $middle = ($low + $high) / 2;
            if ($this->slopeAt($middle) > 0.0) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }
}
