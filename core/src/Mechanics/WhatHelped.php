<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

/** Repetitions with something tried, against those without: a cue, a grip, a stance, a feed. */
final readonly class WhatHelped
{
    private const CONFIDENCE = 0.9;

    /**
     * @param  float  $difference  good rate with it less the rate without
     * @param  float  $low  of the 90 % interval, Newcombe's
     * @param  'better'|'worse'|'too few to tell'  $says
     */
    private function __construct(
        public int $good, public int $n, public int $otherGood, public int $otherN, public float $difference,
        public float $low, public float $high, public string $says,
    ) {}

    /**
     * @param  list<array{bool, list<string>}>  $reps  good or not, and what was being tried, of the same rung
     * @return self|null null when there is nothing on one of the sides
     */
    public static function of(array $reps, string $tried): ?self
    {
        $with = array_filter($reps, fn (array $rep): bool => in_array($tried, $rep[1], true));
        $without = array_filter($reps, fn (array $rep): bool => ! in_array($tried, $rep[1], true));
        if ($with === [] || $without === []) {
            return null;
        }
        [$goodWith, $goodWithout] = [self::good($with), self::good($without)];
        [$difference, $low, $high] = Statistics::newcombe($goodWith, count($with), $goodWithout, count($without), self::CONFIDENCE);

        return new self(
            good: $goodWith,
            n: count($with),
            otherGood: $goodWithout,
            otherN: count($without),
            difference: $difference,
            low: $low,
            high: $high,
            says: Statistics::says($low, $high),
        );
    }

    /**
     * For Pooled: with one good and one bad repetition more on each side, so that three of three is not for sure (A. Agresti and B. Caffo,
     * The American Statistician 54 (2000), 280–288).
     *
     * @return array{float, float} difference and its variance
     */
    public function forPooling(): array
    {
        $with = ($this->good + 1) / ($this->n + 2);
        $without = ($this->otherGood + 1) / ($this->otherN + 2);

        return [
            $with - $without,
            $with * (1 - $with) / ($this->n + 2) + $without * (1 - $without) / ($this->otherN + 2),
        ];
    }

    /** @param  array<array{bool, list<string>}>  $reps  good or not, and what was tried */
    private static function good(array $reps): int
    {
        return count(array_filter($reps, fn (array $rep): bool => $rep[0]));
    }
}
