<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Mechanics\Statistics;
use Augendo\Core\Tolerance;

/** What a look would decide: the chances that some more observed repetitions open the mechanics of a gate, or send one back. */
final readonly class Watch
{
    /** What a coach of twelve really judges of one athlete in a session. */
    public const REPS = 6;

    /**
     * @param  float  $opens  chance that the mechanics pass after them
     * @param  float  $stepsBack  chance that they ask for a step back
     */
    private function __construct(public float $opens, public float $stepsBack) {}

    /**
     * The number of good ones among the next is beta-binomial, from a uniform prior and what was seen: Beta(1 + good, 1 + not good).
     *
     * @param  int  $good  of the observed ones
     * @param  int  $more  observed repetitions to come
     */
    public static function of(Gate $gate, int $observed, int $good, int $more = self::REPS): self
    {
        $opens = $stepsBack = 0.0;
        $n = $observed + $more;
        foreach (self::chances($more, 1 + $good, 1 + $observed - $good) as $j => $chance) {
            $rate = ($good + $j) / $n;
            if (
                $n >= $gate->minReps
                && Tolerance::atLeast($rate, $gate->targetRate)
                && Tolerance::atLeast(Statistics::wilsonLowerBound($good + $j, $n, $gate->confidence), $gate->lowerBound)
            ) {
                $opens += $chance;
            } elseif ($n >= $gate->minReps && ! Tolerance::atLeast($rate, $gate->stepBackRate)) {
                $stepsBack += $chance;
            }
        }

        return new self($opens, $stepsBack);
    }

    /**
     * Beta-binomial probabilities of 0 to $k.
     *
     * @return list<float>
     */
    public static function chances(int $k, float $a, float $b): array
    {
        $first = 1.0;
        for ($i = 0; $i < $k; $i++) {
            $first *= ($b + $i) / ($a + $b + $i);
        }
        $chances = [$first];
        for ($j = 0; $j < $k; $j++) {
            $chances[] = $chances[$j] * ($k - $j) / ($j + 1) * ($a + $j) / ($b + $k - $j - 1);
        }

        return $chances;
    }
}
