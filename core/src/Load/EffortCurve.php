<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** How stress grows with effort: piecewise linear from (0,0) to (1,1), never falling. */
enum EffortCurve: string
{
    case Perceived = 'perceived';
    case Linear = 'linear';
    case Speed = 'speed';

    /** Felt effort understates stress: “half” is far more than half. */
    private const PERCEIVED_KNOTS = [[0.0, 0.0], [0.25, 0.45], [0.5, 0.70], [0.75, 0.86], [1.0, 1.0]];

    /** @param float $effort 0 to 1 @return float share of full stress, 0 to 1 */
    public function stressShare(float $effort): float
    {
        if ($this === self::Linear) {
            return $effort;
        }
        foreach (array_slice(self::PERCEIVED_KNOTS, 1) as $i => [$x1, $y1]) {
            if ($effort <= $x1) {
                [$x0, $y0] = self::PERCEIVED_KNOTS[$i];

                return $y0 + ($y1 - $y0) * ($effort - $x0) / ($x1 - $x0);
            }
        }

        return 1.0;
    }
}
