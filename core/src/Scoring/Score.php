<?php

declare(strict_types=1);

namespace Augendo\Core\Scoring;

use Augendo\Core\InvalidValue;
use Augendo\Core\Mechanics\Statistics;

/** A score as one number, worked out from what was seen. It is compared with the athlete's own past; it never advances anybody. */
final readonly class Score
{
    /**
     * @param  int  $reps  repetitions it took: a score is work, too
     * @param  array{int, int}|null  $rate  how many came out well, and of how many; null: it is no share of anything
     * @param  array{int, int}|null  $second  second serves that came in, and of how many; null: it is no serve game
     */
    private function __construct(
        public ScoreKind $kind,
        public float $value,
        public string $detail,
        public int $reps,
        public ?array $rate = null,
        public ?array $second = null,
    ) {}

    /**
     * @param  list<list<bool>>  $zones  hit or not, by zone and ball
     * @param  int  $safe  misses that harm nothing
     */
    public static function targetRound(array $zones, int $pointsEach, int $safe = 0): self
    {
        $balls = array_merge(...$zones ?: [[]]);
        if ($balls === [] || $pointsEach < 1) {
            throw new InvalidValue('A target round needs at least one zone, one ball, and one point a hit.');
        }
        $hits = count(array_filter($balls));

        return new self(
            ScoreKind::TargetRound,
            (float) ($hits * $pointsEach),
            "{$hits} of "
                .count($balls)
                .' hit: '
                .implode(', ', array_map(fn (array $zone): string => (string) count(array_filter($zone)), $zones))
                .' by zone'
                .($safe === 0 ? '' : "; {$safe} missed on the safe side"),
            count($balls),
            [$hits, count($balls)],
        );
    }

    /** How many throws it took to clear so many targets. */
    public static function clearTargets(int $throws, int $targets): self
    {
        if ($targets < 1 || $throws < $targets) {
            throw new InvalidValue("{$targets} targets cannot be cleared with {$throws} throws.");
        }

        return new self(ScoreKind::ClearTargets, (float) $throws, "{$targets} targets", $throws);
    }

    /** @param  list<bool>  $attempts  in order */
    public static function inARow(array $attempts): self
    {
        $longest = $run = 0;
        foreach ($attempts as $good) {
            $run = $good ? $run + 1 : 0;
            $longest = max($longest, $run);
        }

        $good = count(array_filter($attempts));

        return new self(ScoreKind::InARow, (float) $longest, count($attempts).' tries', count($attempts), [$good, count($attempts)]);
    }

    /**
     * @param  list<array{bool, bool|null}>  $points  first serve in, and the second where there was one
     */
    public static function serveGame(array $points): self
    {
        if ($points === []) {
            throw new InvalidValue('A serve game needs at least one point.');
        }
        $first = count(array_filter($points, fn (array $p): bool => $p[0]));
        $seconds = array_filter($points, fn (array $p): bool => ! $p[0] && $p[1] !== null);
        $secondIn = count(array_filter($seconds, fn (array $p): bool => $p[1] === true));
        $double = count($seconds) - $secondIn;

        return new self(
            ScoreKind::ServeGame,
            $first / count($points),
            "{$first} of "
                .count($points)
                ." first serves in, {$secondIn} of "
                .count($seconds)
                ." second, {$double} double "
                .($double === 1 ? 'fault' : 'faults'),
            count($points) + count($seconds),
            [$first, count($points)],
            [$secondIn, count($seconds)],
        );
    }

    /** @param  list<array{float, float}>  $points  metres from the aim */
    public static function grouping(array $points): self
    {
        $grouping = Grouping::of($points);

        return new self(
            ScoreKind::Grouping,
            $grouping->meanRadialErrorM,
            ($grouping->n === 1 ? '1 point' : "{$grouping->n} points")
                .($grouping->tendency === [] ? '' : ', tends '.implode(' and ', $grouping->tendency)),
            $grouping->n,
        );
    }

    /**
     * So many passes through each gap, against the clock.
     *
     * @param  list<float>  $times  seconds, by gap
     * @param  int  $throws  passes and misses together
     */
    public static function timedGaps(array $times, int $passes, int $throws): self
    {
        if ($times === [] || $passes < 1 || $throws < $passes * count($times) || min($times) < 0.0) {
            throw new InvalidValue('Timed gaps need a time for each gap, and as many throws as passes at least.');
        }
        $missed = $throws - $passes * count($times);

        return new self(
            ScoreKind::TimedGaps,
            array_sum($times),
            "{$passes} passes each: ".implode(', ', array_map(fn (float $time): string => round($time, 1).' s', $times))
                .($missed === 0 ? '' : "; {$missed} missed"),
            $throws,
        );
    }

    /**
     * How many came out well over several rounds.
     *
     * @param  list<self>  $scores
     * @return array{int, int, float, float}|null how many, of how many, and the bounds of the share, Grouping::SURE sure;
     *         null: it is no share of anything
     */
    public static function together(array $scores): ?array
    {
        $rates = array_filter(array_map(fn (self $score): ?array => $score->rate, $scores));
        [$good, $all] = [array_sum(array_column($rates, 0)), array_sum(array_column($rates, 1))];

        return $all === 0 ? null : [$good, $all, ...Statistics::wilsonInterval($good, $all, Grouping::SURE)];
    }
}
