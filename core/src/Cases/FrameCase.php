<?php

declare(strict_types=1);

namespace Augendo\Core\Cases;

use Augendo\Core\Frames\FrameMeasures;
use Augendo\Core\Frames\Landmarks;
use Augendo\Core\Frames\Length;
use Augendo\Core\Frames\Line;
use Augendo\Core\Frames\Picture;
use Augendo\Core\Frames\Point;
use Augendo\Core\Library\Handedness;

/** Kind `frame`: a picture measured. */
final readonly class FrameCase
{
    /** @return array<string, mixed> */
    public static function answer(Node $case): array
    {
        $measures = FrameMeasures::of(self::picture($case));

        return [
            'angles' => $measures->angles,
            'trunk_tilt_deg' => $measures->trunkTiltDeg,
            'shoulder_line_deg' => $measures->shoulderLineDeg,
            'wrist_above_elbow' => self::length($measures->wristAboveElbow),
            'elbow_above_shoulder' => self::length($measures->elbowAboveShoulder),
            'ball_above_shoulder' => self::length($measures->ballAboveShoulder),
            'ball_forward' => self::length($measures->ballForward),
            'landing_offset' => self::length($measures->landingOffset),
        ];
    }

    private static function picture(Node $case): Picture
    {
        $case->keys(['kind', 'landmarks', 'throwing_side', 'target'], ['plumb', 'scale', 'runway']);
        $landmarks = $case->get('landmarks')->keys([], Landmarks::names());
        $points = [];
        foreach (Landmarks::names() as $name) {
            $points[$name] = $landmarks->get($name)->optional(self::point(...));
        }
        $scale = $case->get('scale');
        if (! $scale->isNull()) {
            $scale->keys(['from', 'to', 'metres']);
        }

        return new Picture(
            new Landmarks(array_filter($points)),
            throwingSide: $case->get('throwing_side')->enum(Handedness::class),
            target: $case->get('target')->enum(Handedness::class),
            plumb: $case->get('plumb')->optional(self::line(...)),
            scale: $scale->optional(fn (Node $node): Line => self::between($node, $node->get('from'), $node->get('to'))),
            scaleM: $scale->optional(fn (Node $node): float => $node->get('metres')->positive()),
            runway: $case->get('runway')->optional(self::line(...)),
        );
    }

    private static function line(Node $node): Line
    {
        $ends = $node->items();

        return count($ends) === 2
            ? self::between($node, $ends[0], $ends[1])
            : throw $node->outOfRange('A line is two points, [[x, y], [x, y]].');
    }

    private static function between(Node $line, Node $from, Node $to): Line
    {
        [$from, $to] = [self::point($from), self::point($to)];

        return $to->from($from)->length() > 0.0
            ? new Line($from, $to)
            : throw $line->outOfRange('Both ends of the line are one point.');
    }

    private static function point(Node $node): Point
    {
        $values = $node->items();

        return count($values) === 2
            ? new Point($values[0]->number(), $values[1]->number())
            : throw $node->outOfRange('A point is [x, y] in pixels.');
    }

    /** @return array{trunk: float|null, m: float|null}|null */
    private static function length(?Length $length): ?array
    {
        return $length === null ? null : ['trunk' => $length->trunk, 'm' => $length->m];
    }
}
