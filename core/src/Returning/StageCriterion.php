<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

/** Something measured on both sides; the injured one must reach a share of the sound one. */
final readonly class StageCriterion
{
    /** @param  float  $atLeast  injured over sound, 0.9 for 90 % */
    public function __construct(public string $id, public string $label, public string $unit, public float $atLeast) {}

    public function isMet(float $injured, float $sound): bool
    {
        return $sound > 0.0 && $injured / $sound >= $this->atLeast - 1e-9;
    }
}
