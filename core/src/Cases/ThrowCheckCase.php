<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Flight\ThrowCheck;
use Augendo\Core\InvalidValue;

/** Kind `throw_check`: the least a distance asks for. */
final readonly class ThrowCheckCase
{
    /** @return array<string, float|null> */
    public static function answer(Node $case): array
    {
        $case->keys(['kind', 'ball', 'release_height_m', 'distance_m'], ['air', 'target_height_m', 'reference_speed_ms']);
        $ball = FlightReader::ball($case->get('ball'));
        $air = FlightReader::air($case->get('air'));
        $releaseHeightM = $case->get('release_height_m')->number();
        $targetHeightM = $case->get('target_height_m')->optional(fn (Node $n): float => $n->number());
        $referenceMs = $case->get('reference_speed_ms')->optional(fn (Node $n): float => $n->positive());
        $distance = $case->get('distance_m');
        try {
            $check = ThrowCheck::of($ball, $air, $releaseHeightM, $distance->positive(), $targetHeightM);
        } catch (InvalidValue $outOfReach) {
            throw $distance->outOfRange($outOfReach->getMessage());
        }

        return [
            'least_speed_ms' => $check->leastSpeedMs,
            'elevation_deg' => $check->elevationDeg,
            'energy_share' => $referenceMs === null ? null : $check->energyShare($referenceMs),
            'least_effort' => $referenceMs === null ? null : $check->leastEffort($referenceMs),
        ];
    }
}
