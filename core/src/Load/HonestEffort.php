<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

use Augendo\Core\Mechanics\Statistics;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The effort that was asked for against the one the measurements imply: “her half is 84 %”. */
final readonly class HonestEffort
{
    /** Sets of so many days are looked at. */
    public const DAYS = 120;

    public const LEAST_SETS = 8;

    /** Of the interval, both sides together. */
    public const CONFIDENCE = 0.8;

    private const RESAMPLES = 2000;

    /** Fixed, so that the same sets always give the same interval. */
    private const SEED = 20_270_311;

    /**
     * @param  float  $difference  median of implied less asked, in effort (0.1 is ten points of a hundred)
     * @param  float  $low  of the 80 % interval
     */
    private function __construct(public int $sets, public float $difference, public float $low, public float $high) {}

    /**
     * The effort a measured set implies at least: that of the share of full energy its speed or its distance needs.
     *
     * @param  float|null  $speedShare  v / v_ref
     * @param  float|null  $distanceShare  d / longest throw
     * @return float|null 0 to 1; null when nothing was measured
     */
    public static function implied(?float $speedShare, ?float $distanceShare): ?float
    {
        if ($speedShare === null && $distanceShare === null) {
            return null;
        }

        return EffortCurve::Perceived->effortOf(min(1.0, max(($speedShare ?? 0.0) ** 2, $distanceShare ?? 0.0)));
    }

    /**
     * @param  list<array{float, float}>  $sets  effort asked and effort implied, 0 to 1
     * @return self|null null with fewer than LEAST_SETS: too few to tell. The interval is a percentile bootstrap of the median
     *                   (B. Efron, Annals of Statistics 7 (1979), 1–26)
     */
    public static function of(array $sets): ?self
    {
        if (count($sets) < self::LEAST_SETS) {
            return null;
        }
        $differences = array_map(fn (array $set): float => $set[1] - $set[0], $sets);
        $random = new Randomizer(new Mt19937(self::SEED));
        $n = count($differences);
        $medians = [];
        for ($i = 0; $i < self::RESAMPLES; $i++) {
            $sample = [];
            for ($j = 0; $j < $n; $j++) {
                $sample[] = $differences[$random->getInt(0, $n - 1)];
            }
            $medians[] = Statistics::median($sample);
        }
        sort($medians);
        $outside = (int) round((1 - self::CONFIDENCE) / 2 * self::RESAMPLES);

        return new self(
            $n,
            Statistics::median($differences),
            $medians[$outside],
            $medians[self::RESAMPLES - $outside - 1],
        );
    }
}
