<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

/** A net held down in the middle: a straight band from there up to each post. Metres. */
final readonly class NetSag
{
    public function __construct(public float $middleM, public float $postM, public float $postAcrossM) {}

    /** @param  float  $acrossM  from the middle, to either side */
    public function heightAt(float $acrossM): float
    {
        $share = min(1.0, abs($acrossM) / $this->postAcrossM);

        return round($this->middleM + $share * ($this->postM - $this->middleM), 3);
    }
}
