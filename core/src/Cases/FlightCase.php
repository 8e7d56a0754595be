<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Flight\Trajectory;

/** Kind `flight`: where a ball comes down. */
final readonly class FlightCase
{
    /** @return array<string, mixed> */
    public static function answer(Node $case): array
    {
        $case->keys(['kind', 'ball', 'release'], ['air', 'ground_m', 'heights_at_m']);
        $flight = Trajectory::proven(
            FlightReader::ball($case->get('ball')),
            FlightReader::air($case->get('air')),
            FlightReader::release($case->get('release'), elevated: true),
            $case->get('ground_m')->optional(fn (Node $n): float => $n->number()) ?? 0.0,
        );
        $heightsAt = $case->get('heights_at_m')->optional(
            fn (Node $n): array => array_map(fn (Node $x): float => $x->number(), $n->items()),
        ) ?? [];
        $landing = $flight->landing ?? throw $case->get('release')->outOfRange(
            'It does not come down to the ground from above within 30 seconds.',
        );

        return [
            'range_m' => $landing->rangeM,
            'across_m' => $landing->acrossM,
            'time_s' => $landing->timeS,
            'apex_m' => $flight->apexM,
            'landing_speed_ms' => $landing->speedMs,
            'heights_m' => array_map($flight->heightAtM(...), $heightsAt),
        ];
    }
}
