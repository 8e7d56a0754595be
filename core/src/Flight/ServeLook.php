<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\Mechanics\Statistics;

/** The window of one serve, and what of a scatter falls in. */
final readonly class ServeLook
{
    /** Points of an outline. */
    private const OUTLINE = 24;

    private const STEEPEST_DEG = 80.0;

    /**
     * @param  array{float, float}|null  $up  lowest and highest elevation that is in, degrees; null: nothing is
     * @param  array{float, float}|null  $across  azimuths of the right and the left line from the aim, degrees
     */
    private function __construct(public Serve $serve, private ServeWindow $window, public ?array $up, public ?array $across) {}

    public static function at(Serve $serve): self
    {
        $window = $serve->window();
        $up = $window->elevations();
        $across = $up === null ? null : $window->azimuths(($up[0] + $up[1]) / 2);

        return new self($serve, $window, $up, $across);
    }

    /** @return float how far above the lowest angle that is in the aim lies, degrees */
    public function above(Scatter $scatter): float
    {
        return $this->up === null ? 0.0 : $scatter->aimElevationDeg - $this->up[0];
    }

    /**
     * The same scatter in this window, for whoever clears the net by the same angle as before.
     *
     * @param  float  $aboveDeg  the lowest angle that is in
     * @param  float  $aimed  how much nearer the middle of the window the aim is than that, 0 to 1: of a window that ends with lobs the
     *                        middle below those
     */
    public function scatter(Scatter $scatter, float $aboveDeg, float $aimed = 0.0): ?Scatter
    {
        if ($this->up === null || $this->across === null) {
            return null;
        }
        $aim = $this->up[0] + $aboveDeg;
        $best = ($this->up[0] + min($this->up[1], max($this->up[0], ServeCounts::LOB_DEG))) / 2;
        $middle = ($this->across[0] + $this->across[1]) / 2;

        return new Scatter(
            $aim + $aimed * ($best - $aim),
            $scatter->elevationDeg,
            $scatter->acrossDeg,
            $scatter->meanAcrossDeg + $aimed * ($middle - $scatter->meanAcrossDeg),
        );
    }

    /** Up and across each on its own, at the middle of the other: a hundredth of the work, and as good as within a few of a hundred. */
    public function roughly(?Scatter $scatter): float
    {
        if ($scatter === null || $this->up === null || $this->across === null) {
            return 0.0;
        }

        return self::between($this->up, $scatter->aimElevationDeg, $scatter->elevationDeg)
            * self::between($this->across, $scatter->meanAcrossDeg, $scatter->acrossDeg);
    }

    /** The whole of it. */
    public function share(?Scatter $scatter): float
    {
        return $scatter === null ? 0.0 : $this->window->shareIn($scatter);
    }

    /**
     * Where it misses.
     *
     * @return array{net: float, long: float, right: float, left: float} shares, up first: what is in the net is not wide as well
     */
    public function misses(?Scatter $scatter): array
    {
        if ($scatter === null || $this->up === null || $this->across === null) {
            return ['net' => 1.0, 'long' => 0.0, 'right' => 0.0, 'left' => 0.0];
        }
        $below = fn (float $edge, float $mean, float $sd): float => Statistics::normalShare(($edge - $mean) / $sd);
        $net = $below($this->up[0], $scatter->aimElevationDeg, $scatter->elevationDeg);
        $long = 1.0 - $below($this->up[1], $scatter->aimElevationDeg, $scatter->elevationDeg);
        $rest = 1.0 - $net - $long;

        return [
            'net' => $net,
            'long' => $long,
            'right' => $rest * $below($this->across[0], $scatter->meanAcrossDeg, $scatter->acrossDeg),
            'left' => $rest * (1.0 - $below($this->across[1], $scatter->meanAcrossDeg, $scatter->acrossDeg)),
        ];
    }

    /**
     * Where serves come down that leave so many standard deviations off, all the way round.
     *
     * @return list<array{float, float}> metres from the base line, and to the left of the middle
     */
    public function outline(Scatter $scatter, float $deviations): array
    {
        $points = [];
        for ($i = 0; $i < self::OUTLINE; $i++) {
            $turn = 2 * M_PI * $i / self::OUTLINE;
            $up = $scatter->aimElevationDeg + $deviations * sin($turn) * $scatter->elevationDeg;
            $across = $scatter->meanAcrossDeg + $deviations * cos($turn) * $scatter->acrossDeg;
            $release = $this->serve->release(
                max(-self::STEEPEST_DEG, min(self::STEEPEST_DEG, $up)), $this->serve->aimDeg() + $across,
            );
            $landing = Trajectory::of($this->serve->ball, $this->serve->air, $release, $this->serve->ball->radiusM())->landing;
            if ($landing !== null) {
                $points[] = [$landing->rangeM + $this->serve->contactM, $landing->acrossM + $this->serve->acrossM];
            }
        }

        return $points;
    }

    /** @return array{lowest: Arc, middle: Arc, highest: Arc}|null ways that are in, from where it is hit; null: none is */
    public function arcs(): ?array
    {
        if ($this->up === null) {
            return null;
        }
        [$lowest, $middle, $highest] = array_map(
            fn (float $elevation): ?Arc => Arc::of(
                $this->serve->ball, $this->serve->air, $this->serve->release($elevation), $this->serve->ball->radiusM(),
            ),
            [$this->up[0], ($this->up[0] + $this->up[1]) / 2, $this->up[1]],
        );

        return $lowest === null || $middle === null || $highest === null
            ? null
            : ['lowest' => $lowest, 'middle' => $middle, 'highest' => $highest];
    }

    /** So slow that it does not go long: only the height over the net is told. */
    public function isTooSlowToGoLong(): bool
    {
        return $this->up !== null && $this->up[1] > ServeCounts::LOB_DEG;
    }

    /** @param  array{float, float}  $edges */
    private static function between(array $edges, float $mean, float $sd): float
    {
        return Statistics::normalShare(($edges[1] - $mean) / $sd) - Statistics::normalShare(($edges[0] - $mean) / $sd);
    }
}
