<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** Ways to set the last week against the weeks before it. */
enum RatioMethod: string
{
    case Rolling = 'rolling';
    case Uncoupled = 'uncoupled';
    case Ewma = 'ewma';

    /** @return float|null acute over chronic, null when 7 × the chronic daily value is 0 or below $minChronic */
    public function ratio(DailySeries $series, int $day, float $minChronic = 0.0): ?float
    {
        if ($series->firstDay === null || $series->firstDay > $day) {
            return null;
        }
        [$acute, $chronic] = match ($this) {
            self::Rolling => [$series->sum($day - 6, $day) / 7, $series->sum($day - 27, $day) / 28],
            self::Uncoupled => [$series->sum($day - 6, $day) / 7, $series->sum($day - 34, $day - 7) / 28],
            self::Ewma => $series->weightedAverages($day) ?? [0.0, 0.0],
        };

        return $chronic <= 0.0 || 7 * $chronic < $minChronic - 1e-9 ? null : $acute / $chronic;
    }
}
