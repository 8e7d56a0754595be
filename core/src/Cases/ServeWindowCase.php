<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Flight\Court;
use Augendo\Core\Flight\Scatter;
use Augendo\Core\Flight\ServeWindow;

/** Kind `serve_window`: the angles at which a serve is in, and the share that is. */
final readonly class ServeWindowCase
{
    /** @return array<string, float|null> */
    public static function answer(Node $case): array
    {
        $case->keys(['kind', 'ball', 'release', 'court'], ['air', 'scatter']);
        $window = new ServeWindow(
            FlightReader::ball($case->get('ball')),
            FlightReader::air($case->get('air')),
            FlightReader::release($case->get('release'), elevated: false),
            self::court($case->get('court')),
        );
        $scatter = $case->get('scatter')->optional(self::scatter(...));
        $elevations = $window->elevations();

        return [
            'elevation_low_deg' => $elevations[0] ?? null,
            'elevation_high_deg' => $elevations[1] ?? null,
            'share_in' => $scatter === null ? null : $window->shareIn($scatter),
        ];
    }

    private static function court(Node $node): Court
    {
        $node->keys(['net_m', 'net_height_m', 'near_m', 'far_m', 'right_m', 'left_m']);
        [$near, $far] = [$node->get('near_m'), $node->get('far_m')];
        [$right, $left] = [$node->get('right_m'), $node->get('left_m')];
        if ($near->number() >= $far->number()) {
            throw $far->outOfRange('The box ends where it begins, or before.');
        }
        if ($right->number() >= $left->number()) {
            throw $left->outOfRange('The left line lies right of the right one.');
        }

        return new Court(
            $node->get('net_m')->number(), $node->get('net_height_m')->number(),
            $near->number(), $far->number(), $right->number(), $left->number(),
        );
    }

    private static function scatter(Node $node): Scatter
    {
        $node->keys(['aim_elevation_deg', 'elevation_deg', 'across_deg'], ['mean_across_deg']);

        return new Scatter(
            $node->get('aim_elevation_deg')->number(-90, 90),
            $node->get('elevation_deg')->positive(),
            $node->get('across_deg')->positive(),
            $node->get('mean_across_deg')->optional(fn (Node $n): float => $n->number()) ?? 0.0,
        );
    }
}
