<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Flight\Air;
use Augendo\Core\Flight\Ball;
use Augendo\Core\Flight\Release;

/** Reads what the kinds of flight have in common. */
final readonly class FlightReader
{
    private const COLDEST_C = -100.0;

    private const HOTTEST_C = 100.0;

    public static function ball(Node $node): Ball
    {
        $node->keys(['mass_kg', 'diameter_m', 'drag_coefficient']);

        return new Ball(
            massKg: $node->get('mass_kg')->positive(),
            diameterM: $node->get('diameter_m')->positive(),
            dragCoefficient: $node->get('drag_coefficient')->number(0),
        );
    }

    /** @param  Node  $node  null: a mild day at sea level */
    public static function air(Node $node): Air
    {
        if ($node->isNull()) {
            return new Air;
        }
        $node->keys([], ['temperature_c', 'altitude_m']);
        $standard = new Air;

        return new Air(
            $node->get('temperature_c')->optional(fn (Node $n): float => $n->number(self::COLDEST_C, self::HOTTEST_C))
                ?? $standard->temperatureC,
            $node->get('altitude_m')->optional(fn (Node $n): float => $n->number(Air::LOWEST_M, Air::HIGHEST_M))
                ?? $standard->altitudeM,
        );
    }

    /** @param  bool  $elevated  whether it says at which elevation; else level */
    public static function release(Node $node, bool $elevated): Release
    {
        $node->keys(['height_m', 'speed_ms', ...($elevated ? ['elevation_deg'] : [])], ['azimuth_deg', 'spin_rad_s']);

        return new Release(
            heightM: $node->get('height_m')->number(),
            speedMs: $node->get('speed_ms')->positive(),
            elevationDeg: $elevated ? $node->get('elevation_deg')->number(-90, 90) : 0.0,
            azimuthDeg: $node->get('azimuth_deg')->optional(fn (Node $n): float => $n->number()) ?? 0.0,
            spinRadS: $node->get('spin_rad_s')->optional(self::spin(...)) ?? [0.0, 0.0, 0.0],
        );
    }

    /** @return array{float, float, float} */
    private static function spin(Node $node): array
    {
        $axes = $node->items();

        return count($axes) === 3
            ? [$axes[0]->number(), $axes[1]->number(), $axes[2]->number()]
            : throw $node->outOfRange('A spin is [x, y, z] in radians per second.');
    }
}
