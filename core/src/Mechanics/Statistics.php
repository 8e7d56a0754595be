<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

use Augendo\Core\InvalidValue;

/** Proportions and their bounds. */
final class Statistics
{
    /** @param  non-empty-list<float>  $values */
    public static function median(array $values): float
    {
        sort($values);
        $middle = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$middle] : ($values[$middle - 1] + $values[$middle]) / 2;
    }

    /**
     * One-sided lower bound of a proportion by Wilson's score: E. B. Wilson, JASA 22 (1927), 209–212.
     *
     * @param  int  $good  at most $n
     * @param  int  $n  at least 1
     * @param  float  $confidence  between 0 and 1
     */
    public static function wilsonLowerBound(int $good, int $n, float $confidence): float
    {
        if ($n < 1 || $good < 0 || $good > $n) {
            throw new InvalidValue("{$good} good of {$n} is not a proportion.");
        }
        $z = self::normalQuantile($confidence);
        $p = $good / $n;

        return ($p + $z ** 2 / (2 * $n) - $z * sqrt($p * (1 - $p) / $n + $z ** 2 / (4 * $n ** 2))) / (1 + $z ** 2 / $n);
    }

    /**
     * Two-sided interval of a proportion by Wilson's score.
     *
     * @param  int  $good  at most $n
     * @param  int  $n  at least 1
     * @param  float  $confidence  between 0 and 1, both sides together
     * @return array{float, float}
     */
    public static function wilsonInterval(int $good, int $n, float $confidence): array
    {
        $oneSided = 1 - (1 - $confidence) / 2;

        return [self::wilsonLowerBound($good, $n, $oneSided), 1 - self::wilsonLowerBound($n - $good, $n, $oneSided)];
    }

    /**
     * Interval of a difference of two proportions from their Wilson intervals: R. G. Newcombe, Statistics in Medicine
     * 17 (1998), 873–890, method 10.
     *
     * @return array{float, float, float} the difference of the first less the second, and its bounds
     */
    public static function newcombe(int $good, int $n, int $otherGood, int $otherN, float $confidence): array
    {
        [$low, $high] = self::wilsonInterval($good, $n, $confidence);
        [$otherLow, $otherHigh] = self::wilsonInterval($otherGood, $otherN, $confidence);
        [$p, $q] = [$good / $n, $otherGood / $otherN];

        return [
            $p - $q,
            $p - $q - sqrt(($p - $low) ** 2 + ($otherHigh - $q) ** 2),
            $p - $q + sqrt(($high - $p) ** 2 + ($q - $otherLow) ** 2),
        ];
    }

    /**
     * What an interval of a difference says: no doubt left on which side of nothing it lies, or too few.
     *
     * @return 'better'|'worse'|'too few to tell'
     */
    public static function says(float $low, float $high): string
    {
        return match (true) {
            $low > 0.0 => 'better',
            $high < 0.0 => 'worse',
            default => 'too few to tell',
        };
    }

    /**
     * The share of a standard normal distribution below x, to about 1 part in 10^15 of the whole: G. Marsaglia, Journal of
     * Statistical Software 11 (2004), issue 4.
     */
    public static function normalShare(float $x): float
    {
        if (abs($x) > 8.0) {
            return $x > 0.0 ? 1.0 : 0.0;
        }
        [$sum, $before, $term] = [$x, 0.0, $x];
        for ($i = 3; $sum !== $before; $i += 2) {
            $before = $sum;
            $term *= $x * $x / $i;
            $sum += $term;
        }

        return 0.5 + $sum * exp(-0.5 * $x * $x) / sqrt(2 * M_PI);
    }

    /**
     * Inverse of the standard normal distribution, to about 1 part in 10^16:
     * algorithm AS 241 (PPND16), M. J. Wichura, Applied Statistics 37 (1988), 477–484.
     *
     * @param  float  $p  strictly between 0 and 1
     */
    public static function normalQuantile(float $p): float
    {
        if ($p <= 0.0 || $p >= 1.0) {
            throw new InvalidValue("A confidence of {$p} is outside 0 to 1.");
        }
        $q = $p - 0.5;
        if (abs($q) <= 0.425) {
            $r = 0.180625 - $q * $q;

            return $q * self::polynomial($r, [
                3.3871328727963666080e0, 1.3314166789178437745e2, 1.9715909503065514427e3, 1.3731693765509461125e4,
                4.5921953931549871457e4, 6.7265770927008700853e4, 3.3430575583588128105e4, 2.5090809287301226727e3,
            ]) / self::polynomial($r, [
                1.0, 4.2313330701600911252e1, 6.8718700749205790830e2, 5.3941960214247511077e3,
                2.1213794301586595867e4, 3.9307895800092710610e4, 2.8729085735721942674e4, 5.2264952788528545610e3,
            ]);
        }
        $r = sqrt(-log(min($p, 1 - $p)));
        $tail = $r <= 5.0
            ? self::polynomial($r - 1.6, [
                1.42343711074968357734e0, 4.63033784615654529590e0, 5.76949722146069140550e0, 3.64784832476320460504e0,
                1.27045825245236838258e0, 2.41780725177450611770e-1, 2.27238449892691845833e-2, 7.74545014278341407640e-4,
            ]) / self::polynomial($r - 1.6, [
                1.0, 2.05319162663775882187e0, 1.67638483018380384940e0, 6.89767334985100004550e-1,
                1.48103976427480074590e-1, 1.51986665636164571966e-2, 5.47593808499534494600e-4, 1.05075007164441684324e-9,
            ])
            : self::polynomial($r - 5.0, [
                6.65790464350110377720e0, 5.46378491116411436990e0, 1.78482653991729133580e0, 2.96560571828504891230e-1,
                2.65321895265761230930e-2, 1.24266094738807843860e-3, 2.71155556874348757815e-5, 2.01033439929228813265e-7,
            ]) / self::polynomial($r - 5.0, [
                1.0, 5.99832206555887937690e-1, 1.36929880922735805310e-1, 1.48753612908506148525e-2,
                7.86869131145613259100e-4, 1.84631831751005468180e-5, 1.42151175831644588870e-7, 2.04426310338993978564e-15,
            ]);

        return $q < 0 ? -$tail : $tail;
    }

    /** @param  list<float>  $coefficients constant first */
    private static function polynomial(float $x, array $coefficients): float
    {
        return array_reduce(array_reverse($coefficients), fn (float $sum, float $coefficient): float => $sum * $x + $coefficient, 0.0);
    }
}
