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
    private const PERCEIVED_AT_QUARTERS = [0.0, 0.45, 0.70, 0.86, 1.0];

    private const QUARTER = 0.25;

    /**
     * @param  float  $effort 0 to 1
     * @return float share of full stress, 0 to 1
     */
    public function stressShare(float $effort): float
    {
        if ($this === self::Linear) {
            return $effort;
        }
        $quarter = max(0, min(3, (int) floor($effort / self::QUARTER)));
        [$from, $to] = [self::PERCEIVED_AT_QUARTERS[$quarter], self::PERCEIVED_AT_QUARTERS[$quarter + 1]];

        return $from + ($to - $from) * ($effort / self::QUARTER - $quarter);
    }

    /**
     * The effort that costs such a share: the inverse of the curve.
     *
     * @param  float  $share  of full stress, 0 to 1
     * @return float effort, 0 to 1
     */
    public function effortOf(float $share): float
    {
        if ($this === self::Linear) {
            return $share;
        }
        $effort = 0.0;
        foreach ([0, 1, 2, 3] as $quarter) {
            [$from, $to] = [self::PERCEIVED_AT_QUARTERS[$quarter], self::PERCEIVED_AT_QUARTERS[$quarter + 1]];
            $effort += self::QUARTER * max(0.0, min(1.0, ($share - $from) / max($to - $from, 1e-12)));
        }

        return $effort;
    }
}
