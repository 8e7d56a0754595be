<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** What is in the hand: nothing (`shadow`), the body itself (a jump), or an object of a weight class. */
enum Implement: string
{
    case Shadow = 'shadow';
    case Light = 'light';
    case Standard = 'standard';
    case Heavy = 'heavy';
    case Body = 'body';

    /** @return float factor on stress units; the root of the mass ratio held within 0.5 and 1.5 when both masses (kg) are known */
    public function factor(?float $massKg, ?float $referenceMassKg): float
    {
        if ($this === self::Shadow) {
            return 0.25;
        }
        if ($this === self::Body) {
            return 1.0;
        }
        if ($massKg !== null && $referenceMassKg !== null) {
            return min(1.5, max(0.5, sqrt($massKg / $referenceMassKg)));
        }

        return match ($this) {
            self::Light => 0.75,
            self::Standard => 1.0,
            self::Heavy => 1.25,
        };
    }
}
