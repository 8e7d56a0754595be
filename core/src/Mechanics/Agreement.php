<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

use Augendo\Core\InvalidValue;

/** Whether two people who watched the same repetitions saw the same: agreement, and agreement beyond chance. */
final readonly class Agreement
{
    /** Sessions of so many days, judged by two, are compared. */
    public const DAYS = 60;

    private const CONFIDENCE = 0.95;

    private const LEAST_PAIRS = 10;

    /**
     * Below this, what one of them judged alone is weak evidence: the lower end of "moderate", J. R. Landis and G. G.
     * Koch, Biometrics 33 (1977), 159–174.
     */
    private const WEAK = 0.41;

    /**
     * @param  int  $n  repetitions both judged
     * @param  int  $same  of them judged alike
     * @param  float|null  $kappa  Cohen's; null when both gave one and the same verdict throughout, where chance explains everything
     * @param  array{float, float}|null  $interval  of kappa, 95 %
     */
    private function __construct(public int $n, public int $same, public ?float $kappa, public ?array $interval) {}

    /**
     * J. Cohen, Educational and Psychological Measurement 20 (1960), 37–46; its large-sample standard error from J. L. Fleiss,
     * J. Cohen and B. S. Everitt, Psychological Bulletin 72 (1969), 323–327.
     *
     * @param  list<array{string, string}>  $pairs  what each of the two said of the same repetition
     *
     * @throws InvalidValue without a pair
     */
    public static function of(array $pairs): self
    {
        $n = count($pairs);
        if ($n === 0) {
            throw new InvalidValue('Two people have to judge at least one repetition both.');
        }
        $says = array_values(array_unique(array_merge(...$pairs)));
        $share = array_fill_keys($says, array_fill_keys($says, 0.0));
        foreach ($pairs as [$one, $other]) {
            $share[$one][$other] += 1 / $n;
        }
        $ofOne = array_map(array_sum(...), $share);
        $ofOther = array_combine($says, array_map(fn (string $said): float => array_sum(array_column($share, $said)), $says));
        $observed = array_sum(array_map(fn (string $said): float => $share[$said][$said], $says));
        $chance = array_sum(array_map(fn (string $said): float => $ofOne[$said] * $ofOther[$said], $says));
        $same = (int) round($n * $observed);
        if ($chance > 1 - 1e-12) {
            return new self($n, $same, null, null);
        }
        $kappa = ($observed - $chance) / (1 - $chance);
        $alike = $unlike = 0.0;
        foreach ($says as $one) {
            foreach ($says as $other) {
                if ($one === $other) {
                    $alike += $share[$one][$one] * (1 - ($ofOne[$one] + $ofOther[$one]) * (1 - $kappa)) ** 2;
                } else {
                    $unlike += $share[$one][$other] * ($ofOther[$one] + $ofOne[$other]) ** 2;
                }
            }
        }
        $variance = ($alike + (1 - $kappa) ** 2 * $unlike - ($kappa - $chance * (1 - $kappa)) ** 2) / ($n * (1 - $chance) ** 2);
        $reach = Statistics::normalQuantile(1 - (1 - self::CONFIDENCE) / 2) * sqrt(max(0.0, $variance));

        return new self($n, $same, $kappa, [max(-1.0, $kappa - $reach), min(1.0, $kappa + $reach)]);
    }

    /**
     * The repetitions two people both saw, when each judged a set for themselves: its n-th is the same for both only
     * when both counted it to the
     * same length. What one of them did not see says nothing about how the two see.
     *
     * @param  list<bool|null>  $one  good, not good or not seen, in order
     * @param  list<bool|null>  $other
     * @return list<int> their places in the set
     */
    public static function bothSaw(array $one, array $other): array
    {
        return count($one) !== count($other) ? [] : array_keys(
            array_filter(array_map(fn (?bool $a, ?bool $b): bool => $a !== null && $b !== null, $one, $other)),
        );
    }

    /** Fewer pairs say nothing about two people. */
    public function isEnough(): bool
    {
        return $this->n >= self::LEAST_PAIRS;
    }

    /** Whether there is enough to speak of, and it says that they see differently. */
    public function isWeak(): bool
    {
        return $this->isEnough() && $this->same < $this->n && ($this->kappa === null || $this->kappa < self::WEAK);
    }

    /**
     * The checkpoint that splits two people: the one most often wrong for exactly one of them.
     *
     * @param  list<array{string|null, string|null}>  $faulty  for each repetition, the checkpoint each of the two saw fail; null: none
     */
    public static function splitsOn(array $faulty): ?string
    {
        $times = [];
        foreach ($faulty as [$one, $other]) {
            foreach ($one === $other ? [] : array_filter([$one, $other]) as $checkpoint) {
                $times[$checkpoint] = ($times[$checkpoint] ?? 0) + 1;
            }
        }
        arsort($times);

        return array_key_first($times);
    }
}
