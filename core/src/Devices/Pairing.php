<?php

declare(strict_types=1);

namespace Augendo\Core\Devices;

use Augendo\Core\Mechanics\Statistics;

/**
 * Which tap each reading of a device was, by the clock: in the order both came, each at most once, the nearest as a whole. How long after
 * a reading somebody taps, and how fast the clocks run apart, is estimated from the pairs and then looked at again.
 */
final readonly class Pairing
{
    /** Before anything is known a tap comes about so long after the repetition, and no further from that. */
    private const USUAL_DELAY_S = 2.0;

    private const WIDEST_S = 20.0;

    private const NARROWEST_S = 1.5;

    /** Of the usual spread of the pairs: what lies further off is another repetition, or none. */
    private const SPREADS = 4.0;

    /** The median of absolute deviations as a standard deviation of a normal spread. */
    private const MAD_TO_SD = 1.4826;

    private const ROUNDS = 3;

    /** A drift is told from so many pairs over so long a time. */
    private const DRIFT_PAIRS = 10;

    private const DRIFT_SPAN_S = 600.0;

    /**
     * @param  array<string, string>  $pairs  id of the tap by id of the reading
     * @param  float  $delayS  from reading to tap, in the middle of the time
     * @param  float  $driftSPerHour  how much longer that becomes
     */
    private function __construct(public array $pairs, public float $delayS, public float $driftSPerHour) {}

    /**
     * @param  array<string, float>  $readings  seconds by id
     * @param  array<string, float>  $taps  seconds by id
     */
    public static function of(array $readings, array $taps): self
    {
        asort($readings);
        asort($taps);
        [$delay, $drift, $window] = [self::USUAL_DELAY_S, 0.0, self::WIDEST_S];
        $middle = $readings === [] ? 0.0 : (array_sum($readings) / count($readings));
        $pairs = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $expected = fn (float $at): float => $at + $delay + $drift * ($at - $middle);
            $pairs = self::assigned(array_map($expected, $readings), $taps, $window);
            if (count($pairs) < 2) {
                break;
            }
            $after = array_map(
                fn (string $id, string $tap): array => [$readings[$id] - $middle, $taps[$tap] - $readings[$id]], array_keys($pairs), $pairs,
            );
            $drift = self::drift($after);
            $rest = array_map(fn (array $each): float => $each[1] - $drift * $each[0], $after);
            $delay = Statistics::median($rest);
            $spread = self::MAD_TO_SD * Statistics::median(array_map(fn (float $each): float => abs($each - $delay), $rest));
            $window = max(self::NARROWEST_S, min(self::WIDEST_S, self::SPREADS * $spread));
        }

        return new self($pairs, $delay, 3600 * $drift);
    }

    /**
     * The assignment in order with the greatest gain: a pair gains the more the nearer it is, and nothing at the edge of the window.
     *
     * @param  array<string, float>  $expected  when a tap is expected, by id of the reading, ascending
     * @param  array<string, float>  $taps  ascending
     * @return array<string, string>
     */
    private static function assigned(array $expected, array $taps, float $windowS): array
    {
        [$readingIds, $tapIds] = [array_keys($expected), array_keys($taps)];
        [$readingAt, $tapAt] = [array_values($expected), array_values($taps)];
        [$n, $m] = [count($readingAt), count($tapAt)];
        $best = array_fill(0, $m + 1, 0.0);
        // For each reading and tap: 0 neither, 1 without the reading, 2 without the tap, 3 both together.
        $came = [];
        for ($i = 0; $i < $n; $i++) {
            $row = [0.0];
            $from = [1];
            for ($j = 0; $j < $m; $j++) {
                $off = abs($readingAt[$i] - $tapAt[$j]) / $windowS;
                $together = $off < 1.0 ? $best[$j] + 1.0 - $off * $off : -1.0;
                $how = $best[$j + 1] >= $row[$j] ? 1 : 2;
                $value = max($best[$j + 1], $row[$j]);
                if ($together > $value) {
                    [$how, $value] = [3, $together];
                }
                $row[] = $value;
                $from[] = $how;
            }
            $best = $row;
            $came[] = $from;
        }
        $pairs = [];
        [$i, $j] = [$n - 1, $m];
        while ($i >= 0 && $j > 0) {
            $how = $came[$i][$j];
            if ($how === 3) {
                $pairs[$readingIds[$i]] = $tapIds[$j - 1];
            }
            $i -= $how === 2 ? 0 : 1;
            $j -= $how === 1 ? 0 : 1;
        }

        return array_reverse($pairs, true);
    }

    /**
     * The median of the slopes between pairs: H. Theil (1950), P. K. Sen, JASA 63 (1968), 1379–1389. Few outliers do not move it.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    private static function drift(array $points): float
    {
        $n = count($points);
        if ($n < self::DRIFT_PAIRS || $points[$n - 1][0] - $points[0][0] < self::DRIFT_SPAN_S) {
            return 0.0;
        }
        $slopes = [];
        $half = intdiv($n, 2);
        for ($i = 0; $i + $half < $n; $i++) {
            $apart = $points[$i + $half][0] - $points[$i][0];
            if ($apart > 0.0) {
                $slopes[] = ($points[$i + $half][1] - $points[$i][1]) / $apart;
            }
        }

        return $slopes === [] ? 0.0 : Statistics::median($slopes);
    }
}
