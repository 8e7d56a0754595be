<?php

declare(strict_types=1);

namespace Augendo\Core\Devices;

use Augendo\Core\Load\HonestEffort;
use Augendo\Core\Mechanics\Statistics;

/** Speeds of one athlete in a session, in order: how fast in the middle, and whether it drops towards the end. */
final readonly class Speeds
{
    /** Of fewer no fading is told. */
    public const FADE_FROM = 9;

    /** Speeds are looked at so many together: one slow throw is no tiredness. */
    private const TOGETHER = 5;

    /** Down by so much, and staying there, they have dropped: an example of our own. */
    private const DROP_SHARE = 0.05;

    /** So many deviations off the rest, a reading is held to be of something else (F. R. Hampel's identifier). */
    private const FAR_DEVIATIONS = 4.0;

    /** Of a normal scatter, the standard deviation over the median absolute one. */
    private const NORMAL = 1.4826;

    /** Nobody throws more evenly than so, as a share of the speed. */
    private const LEAST_SPREAD = 0.02;

    /**
     * @param  non-empty-list<float>  $speedsMs
     * @param  float|null  $fade  of the last third against the first, as a share of it; below 0 it drops
     */
    private function __construct(public array $speedsMs, public float $medianMs, public ?float $fade) {}

    /** @param  non-empty-list<float>  $speedsMs  in order */
    public static function of(array $speedsMs): self
    {
        $third = intdiv(count($speedsMs), 3);
        $first = array_slice($speedsMs, 0, $third);
        $last = array_slice($speedsMs, -$third);
        $isTold = count($speedsMs) >= self::FADE_FROM && $first !== [] && $last !== [];

        $fade = $isTold ? Statistics::median($last) / Statistics::median($first) - 1 : null;

        return new self($speedsMs, Statistics::median($speedsMs), $fade);
    }

    /** @return int|null how many repetitions there were before the speed dropped and stayed down; null: it did not, or too few to tell */
    public function dropsAfter(): ?int
    {
        $windows = count($this->speedsMs) - self::TOGETHER + 1;
        if ($windows <= self::TOGETHER) {
            return null;
        }
        $together = fn (int $from): float => Statistics::median(array_slice($this->speedsMs, $from, self::TOGETHER) ?: [0.0]);
        $begun = $together(0);
        $dropped = null;
        for ($from = $windows - 1; $from >= self::TOGETHER; $from--) {
            if ($together($from) > (1 - self::DROP_SHARE) * $begun) {
                break;
            }
            $dropped = $from;
        }

        return $dropped;
    }

    /** @return list<float> readings so far off the rest that they are asked about: another ball, or another player's */
    public function outliers(): array
    {
        $off = array_map(fn (float $speed): float => abs($speed - $this->medianMs), $this->speedsMs);
        $spread = max(self::NORMAL * Statistics::median($off), self::LEAST_SPREAD * $this->medianMs);

        return array_values(array_filter(
            $this->speedsMs, fn (float $speed): bool => abs($speed - $this->medianMs) > self::FAR_DEVIATIONS * $spread,
        ));
    }

    /** The fastest that is none of the outliers, m/s. */
    public function fastestMs(): float
    {
        return max([0.0, ...array_diff($this->speedsMs, $this->outliers())]);
    }

    /**
     * What was asked, and what the speed says was given at least, each in the middle.
     *
     * @param  list<float|null>  $asked  effort asked of each, 0 to 1; null: nothing was
     * @param  float|null  $referenceMs  the fastest on record
     * @return array{float, float}|null null: there is nothing to hold one against the other
     */
    public function effort(array $asked, ?float $referenceMs): ?array
    {
        $asked = array_values(array_filter($asked, fn (?float $effort): bool => $effort !== null));

        return $referenceMs === null || $asked === []
            ? null
            : [Statistics::median($asked), (float) HonestEffort::implied($this->medianMs / $referenceMs, null)];
    }
}
