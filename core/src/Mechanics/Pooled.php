<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

/**
 * The same thing tried by several athletes, taken together: random effects by R. DerSimonian and N. Laird, Controlled Clinical Trials 7
 * (1986), 177–188. Each athlete may answer to it differently; the interval is that of the mean answer.
 */
final readonly class Pooled
{
    /** Fewer athletes than this are too few to tell, whatever they show. */
    public const LEAST = 3;

    private const CONFIDENCE = 0.9;

    /**
     * @param  int  $of  athletes
     * @param  float  $mean  of the differences, as those are given
     * @param  float  $error  standard error of the mean
     * @param  float  $between  variance between athletes
     */
    private function __construct(public int $of, public float $mean, public float $error, public float $between) {}

    /**
     * @param  list<array{float, float}>  $each  difference and its variance, above 0, one for each athlete
     * @return self|null null with nobody
     */
    public static function of(array $each): ?self
    {
        if ($each === []) {
            return null;
        }
        $all = self::sum($each, fn (float $difference, float $variance): float => 1 / $variance);
        $fixed = self::sum($each, fn (float $difference, float $variance): float => $difference / $variance) / $all;
        $heterogeneity = self::sum($each, fn (float $difference, float $variance): float => ($difference - $fixed) ** 2 / $variance);
        $scale = $all - self::sum($each, fn (float $difference, float $variance): float => 1 / $variance ** 2) / $all;
        $between = $scale <= 0.0 ? 0.0 : max(0.0, ($heterogeneity - (count($each) - 1)) / $scale);
        $weight = self::sum($each, fn (float $difference, float $variance): float => 1 / ($variance + $between));
        $mean = self::sum($each, fn (float $difference, float $variance): float => $difference / ($variance + $between)) / $weight;

        return new self(count($each), $mean, sqrt(1 / $weight), $between);
    }

    /**
     * What one athlete answered on several rungs, as one answer: each rung weighs by how well it is known there (fixed effect, inverse
     * variance). A rung is never held against another one: a hard rung is no worse thought.
     *
     * @param  non-empty-list<array{float, float}>  $rungs  difference and its variance, above 0
     * @return array{float, float} difference and its variance
     */
    public static function ofRungs(array $rungs): array
    {
        $all = self::sum($rungs, fn (float $difference, float $variance): float => 1 / $variance);

        return [self::sum($rungs, fn (float $difference, float $variance): float => $difference / $variance) / $all, 1 / $all];
    }

    /**
     * @param  list<array{float, float}>  $each
     * @param  \Closure(float, float): float  $of
     */
    private static function sum(array $each, \Closure $of): float
    {
        $sum = 0.0;
        foreach ($each as [$difference, $variance]) {
            $sum += $of($difference, $variance);
        }

        return $sum;
    }

    /** @return array{float, float} the 90 % interval of the mean */
    public function interval(): array
    {
        $half = Statistics::normalQuantile((1 + self::CONFIDENCE) / 2) * $this->error;

        return [$this->mean - $half, $this->mean + $half];
    }

    /** @return 'better'|'worse'|'too few to tell' */
    public function says(): string
    {
        [$low, $high] = $this->interval();

        return $this->of < self::LEAST ? 'too few to tell' : Statistics::says($low, $high);
    }
}
