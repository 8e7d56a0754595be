<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

/** What air and gravity do to one ball with one spin. Written out by axis: it is asked four times a step, a million times a window. */
final readonly class AirForce
{
    /**
     * @param  float  $drag  ½ρA·C_d/m, 1/m
     * @param  float  $lift  ½ρA/m, 1/m; 0 without spin
     * @param  float  $rimMs  speed of the rim, r|w|
     * @param  array{float, float, float}  $axis  of the spin, of length 1
     */
    public function __construct(
        private float $drag,
        private float $lift,
        private float $rimMs,
        private array $axis,
    ) {}

    /** How fast air changes the way, 1/s. */
    public function rate(float $vx, float $vy, float $vz): float
    {
        $speed = sqrt($vx * $vx + $vy * $vy + $vz * $vz);
        $lift = $this->lift > 0.0 ? $this->lift / (2 + $speed / $this->rimMs) : 0.0;

        return ($this->drag + $lift) * $speed;
    }

    /**
     * One step of the classical Runge-Kutta method.
     *
     * @param  array{float, float, float, float, float, float, float}  $node  time, place, velocity
     * @return array{float, float, float, float, float, float, float}
     */
    public function after(array $node, float $h): array
    {
        [$t, $x, $y, $z, $ux, $uy, $uz] = $node;
        $half = $h / 2;
        [$ax, $ay, $az] = $this->acceleration($ux, $uy, $uz);
        [$vx, $vy, $vz] = [$ux + $half * $ax, $uy + $half * $ay, $uz + $half * $az];
        [$bx, $by, $bz] = $this->acceleration($vx, $vy, $vz);
        [$wx, $wy, $wz] = [$ux + $half * $bx, $uy + $half * $by, $uz + $half * $bz];
        [$cx, $cy, $cz] = $this->acceleration($wx, $wy, $wz);
        [$qx, $qy, $qz] = [$ux + $h * $cx, $uy + $h * $cy, $uz + $h * $cz];
        [$dx, $dy, $dz] = $this->acceleration($qx, $qy, $qz);
        $sixth = $h / 6;

        return [
            $t + $h,
            $x + $sixth * ($ux + 2 * ($vx + $wx) + $qx),
            $y + $sixth * ($uy + 2 * ($vy + $wy) + $qy),
            $z + $sixth * ($uz + 2 * ($vz + $wz) + $qz),
            $ux + $sixth * ($ax + 2 * ($bx + $cx) + $dx),
            $uy + $sixth * ($ay + 2 * ($by + $cy) + $dy),
            $uz + $sixth * ($az + 2 * ($bz + $cz) + $dz),
        ];
    }

    /** @return array{float, float, float} m/s² */
    private function acceleration(float $vx, float $vy, float $vz): array
    {
        $speed = sqrt($vx * $vx + $vy * $vy + $vz * $vz);
        $drag = -$this->drag * $speed;
        if ($this->lift === 0.0) {
            return [$drag * $vx, $drag * $vy, $drag * $vz - Trajectory::GRAVITY_MS2];
        }
        $lift = $this->lift * $speed / (2 + $speed / $this->rimMs);
        [$wx, $wy, $wz] = $this->axis;

        return [
            $drag * $vx + $lift * ($wy * $vz - $wz * $vy),
            $drag * $vy + $lift * ($wz * $vx - $wx * $vz),
            $drag * $vz + $lift * ($wx * $vy - $wy * $vx) - Trajectory::GRAVITY_MS2,
        ];
    }
}
