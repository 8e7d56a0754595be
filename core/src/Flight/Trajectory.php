<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

/**
 * The way of a ball through still air, by the classical Runge-Kutta method of fourth order.
 *
 * Acceleration: gravity down, drag ½ρA·C_d·|v|·v against the way, and lift ½ρA·C_l·|v|² across spin and way (ŵ × v̂) with
 * C_l = 1/(2 + |v|/(r|w|)). Spin keeps its axis. The step is a share of the time in which air changes the way, at most
 * `LONGEST_STEP_S`; `proven` halves it until landing does not move any more. What lies between two steps is read off a cubic.
 */
final readonly class Trajectory
{
    /** Standard gravity (ISO 80000-3). */
    public const GRAVITY_MS2 = 9.80665;

    /** A flight that lasts longer is not followed. */
    public const LONGEST_S = 30.0;

    private const LONGEST_STEP_S = 0.1;

    /** of the time in which drag and lift would turn or stop the ball */
    private const STEP_SHARE = 0.25;

    /** Halving the step again may move the landing by no more than this. */
    private const PROVEN_M = 1e-5;

    private const PROVEN_S = 1e-6;

    private const MOST_HALVINGS = 6;

    /**
     * @param  list<array{float, float, float, float, float, float, float}>  $nodes  time in s, place in m, velocity in m/s
     * @param  Landing|null  $landing  null: it never comes down to the ground from above, or not in time
     */
    private function __construct(
        private array $nodes,
        public float $apexM,
        public ?Landing $landing,
    ) {}

    /**
     * @param  float  $groundM  the height it comes down to
     * @param  float  $step  share of the usual step
     */
    public static function of(Ball $ball, Air $air, Release $release, float $groundM = 0.0, float $step = 1.0): self
    {
        $perMass = $air->densityKgM3 * $ball->crossSectionM2() / (2 * $ball->massKg);
        [$wx, $wy, $wz] = $release->spinRadS;
        $spin = sqrt($wx * $wx + $wy * $wy + $wz * $wz);
        $force = new AirForce(
            drag: $perMass * $ball->dragCoefficient,
            lift: $spin > 0.0 ? $perMass : 0.0,
            rimMs: $ball->radiusM() * $spin,
            axis: $spin > 0.0 ? [$wx / $spin, $wy / $spin, $wz / $spin] : [0.0, 0.0, 0.0],
        );
        $node = [0.0, 0.0, 0.0, $release->heightM, ...$release->velocityMs()];
        $nodes = [$node];
        $apexM = $release->heightM;
        $wasAbove = $release->heightM > $groundM;
        while ($node[0] < self::LONGEST_S) {
            $rate = $force->rate($node[4], $node[5], $node[6]);
            $stepS = $step * min(self::LONGEST_STEP_S, $rate > 0.0 ? self::STEP_SHARE / $rate : self::LONGEST_STEP_S);
            $next = $force->after($node, $stepS);
            $from = 0.0;
            $height = null;
            if ($node[6] > 0.0 && $next[6] <= 0.0) {
                $height = self::cubic($node, $next, 3);
                $from = $height->top();
                $topM = $height->at($from);
                $apexM = max($apexM, $topM);
                $wasAbove = $wasAbove || $topM > $groundM;
            }
            $apexM = max($apexM, $next[3]);
            $nodes[] = $next;
            if ($wasAbove && $next[3] <= $groundM) {
                $height ??= self::cubic($node, $next, 3);
                $share = $height->whereIs($groundM, $from);
                $landing = self::landing($node, $next, $share);

                return new self($nodes, $apexM, $landing->timeS <= self::LONGEST_S ? $landing : null);
            }
            $wasAbove = $wasAbove || $next[3] > $groundM;
            $node = $next;
        }

        return new self($nodes, $apexM, null);
    }

    /** With a quarter of the step of which half would change nothing any more: a single flight costs nothing. */
    public static function proven(Ball $ball, Air $air, Release $release, float $groundM = 0.0): self
    {
        return self::of($ball, $air, $release, $groundM, self::provenStep($ball, $air, $release, $groundM) / 4);
    }

    /** @return float the share of the usual step at which half of it moves the landing by less than a hundredth of a millimetre */
    public static function provenStep(Ball $ball, Air $air, Release $release, float $groundM = 0.0): float
    {
        $step = 1.0;
        $coarse = self::of($ball, $air, $release, $groundM, $step)->landing;
        for ($i = 0; $i < self::MOST_HALVINGS; $i++) {
            $fine = self::of($ball, $air, $release, $groundM, $step / 2)->landing;
            if ($coarse === null && $fine === null) {
                return $step;
            }
            $still = $coarse !== null && $fine !== null
                && hypot($coarse->rangeM - $fine->rangeM, $coarse->acrossM - $fine->acrossM) < self::PROVEN_M
                && abs($coarse->timeS - $fine->timeS) < self::PROVEN_S;
            if ($still) {
                return $step;
            }
            $step /= 2;
            $coarse = $fine;
        }

        return $step;
    }

    /**
     * The height at which it passes x for the first time.
     *
     * @return float|null metres; null when it never does, or comes down before
     */
    public function heightAtM(float $x): ?float
    {
        if ($x === 0.0) {
            return $this->nodes[0][3];
        }
        $landsAt = $this->landing->timeS ?? self::LONGEST_S;
        for ($i = 1, $n = count($this->nodes); $i < $n; $i++) {
            [$before, $after] = [$this->nodes[$i - 1], $this->nodes[$i]];
            if (($before[1] - $x) * ($after[1] - $x) > 0.0 || $before[1] === $x) {
                continue;
            }
            $share = self::cubic($before, $after, 1)->whereIs($x);
            if ($landsAt + 1e-12 < $before[0] + $share * ($after[0] - $before[0])) {
                return null;
            }

            return self::cubic($before, $after, 3)->at($share);
        }

        return null;
    }

    /**
     * @param  array{float, float, float, float, float, float, float}  $before
     * @param  array{float, float, float, float, float, float, float}  $after
     */
    private static function landing(array $before, array $after, float $share): Landing
    {
        $cubics = array_map(fn (int $axis): Hermite => self::cubic($before, $after, $axis), [1, 2, 3]);
        $stepS = $after[0] - $before[0];
        $speeds = array_map(fn (Hermite $cubic): float => $cubic->slopeAt($share) / $stepS, $cubics);

        return new Landing(
            rangeM: $cubics[0]->at($share),
            acrossM: $cubics[1]->at($share),
            timeS: $before[0] + $share * $stepS,
            speedMs: sqrt(array_sum(array_map(fn (float $speed): float => $speed * $speed, $speeds))),
        );
    }

    /**
     * @param  array{float, float, float, float, float, float, float}  $before
     * @param  array{float, float, float, float, float, float, float}  $after
     * @param  1|2|3  $axis
     */
    private static function cubic(array $before, array $after, int $axis): Hermite
    {
        $stepS = $after[0] - $before[0];

        return new Hermite($before[$axis], $before[$axis + 3] * $stepS, $after[$axis], $after[$axis + 3] * $stepS);
    }
}
