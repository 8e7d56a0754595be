<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Frames\FrameMeasures;
use Augendo\Core\Frames\Landmarks;
use Augendo\Core\Frames\Line;
use Augendo\Core\Frames\Picture;
use Augendo\Core\Frames\Point;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\Handedness;
use PHPUnit\Framework\TestCase;

/** A picture means the same tilted, mirrored, enlarged; and what cannot be seen is not told. */
final class FramesTest extends TestCase
{
    /** A figure that stands upright and looks to the right, its right arm at the back. */
    private const FIGURE = [
        'left_shoulder' => [612, 301], 'right_shoulder' => [548, 322], 'left_elbow' => [676, 300], 'right_elbow' => [489, 298],
        'left_wrist' => [741, 296], 'right_wrist' => [470, 231], 'left_hip' => [601, 466], 'right_hip' => [560, 470],
        'left_knee' => [640, 579], 'right_knee' => [539, 585], 'left_ankle' => [663, 700], 'right_ankle' => [510, 699],
        'ball' => [466, 214],
    ];

    /**
     * @param  callable(Point): Point  $turn  what is done to the picture
     * @param  list<string>  $without  landmarks that were not found
     */
    private static function picture(
        callable $turn,
        array $without = [],
        bool $mirrored = false,
        bool $measured = true,
    ): Picture {
        $points = array_map(fn (array $at): Point => $turn(new Point(...$at)), array_diff_key(self::FIGURE, array_flip($without)));
        $line = fn (float $x, float $y, float $toX, float $toY): Line => new Line($turn(new Point($x, $y)), $turn(new Point($toX, $toY)));
        if ($mirrored) {
            $other = fn (string $name): string => strtr($name, ['left_' => 'right_', 'right_' => 'left_']);
            $points = array_combine(array_map($other, array_keys($points)), $points);
        }

        return new Picture(
            new Landmarks($points),
            throwingSide: $mirrored ? Handedness::Left : Handedness::Right,
            target: $mirrored ? Handedness::Left : Handedness::Right,
            plumb: $line(900, 80, 896, 690),
            scale: $measured ? $line(900, 80, 896, 690) : null,
            scaleM: $measured ? 2.6 : null,
            runway: $line(300, 705, 1100, 702),
        );
    }

    /** @return array<string, float|null> every figure of a picture */
    private static function figures(Picture $picture): array
    {
        $measures = FrameMeasures::of($picture);
        $figures = [...$measures->angles, 'tilt' => $measures->trunkTiltDeg, 'line' => $measures->shoulderLineDeg];
        foreach (['wristAboveElbow', 'elbowAboveShoulder', 'ballAboveShoulder', 'ballForward', 'landingOffset'] as $length) {
            $figures["{$length} in trunks"] = $measures->{$length}?->trunk;
            $figures["{$length} in metres"] = $measures->{$length}?->m;
        }

        return $figures;
    }

    public function test_a_camera_held_at_a_slant_or_nearer_changes_nothing(): void
    {
        $plain = self::figures(self::picture(fn (Point $p): Point => $p));
        $turned = self::figures(self::picture(fn (Point $p): Point => new Point(
            1.7 * ($p->x * cos(0.3) - $p->y * sin(0.3)) + 40, 1.7 * ($p->x * sin(0.3) + $p->y * cos(0.3)) - 25,
        )));
        foreach ($plain as $name => $value) {
            $this->assertEqualsWithDelta($value, $turned[$name], 1e-9, $name);
        }
    }

    public function test_a_left_hander_seen_in_a_mirror_measures_the_same(): void
    {
        $plain = self::figures(self::picture(fn (Point $p): Point => $p));
        $mirrored = self::figures(self::picture(fn (Point $p): Point => new Point(1280 - $p->x, $p->y), mirrored: true));
        $this->assertEqualsWithDelta($plain['right_elbow'], $mirrored['left_elbow'], 1e-9);
        foreach (['tilt', 'line', 'ballForward in metres', 'wristAboveElbow in trunks'] as $name) {
            $this->assertEqualsWithDelta($plain[$name], $mirrored[$name], 1e-9, $name);
        }
        // Right and left of the runway change places in a mirror.
        $this->assertEqualsWithDelta($plain['landingOffset in metres'], -(float) $mirrored['landingOffset in metres'], 1e-9);
    }

    public function test_what_was_not_found_is_told_by_nobody(): void
    {
        $as = fn (Point $p): Point => $p;
        $noWrist = self::figures(self::picture($as, ['right_wrist']));
        $this->assertNull($noWrist['right_elbow']);
        $this->assertNull($noWrist['wristAboveElbow in trunks']);
        $this->assertNotNull($noWrist['left_elbow']);
        $noHip = FrameMeasures::of(self::picture($as, ['left_hip']));
        $this->assertNull($noHip->trunkTiltDeg);
        $this->assertNull($noHip->wristAboveElbow?->trunk);
        $this->assertEqualsWithDelta(0.285, $noHip->wristAboveElbow?->m, 1e-3);
        $noScale = FrameMeasures::of(self::picture($as, measured: false));
        $this->assertNull($noScale->ballForward?->m);
        $this->assertNotNull($noScale->ballForward?->trunk);
        $this->assertNull(FrameMeasures::of(new Picture(new Landmarks([]), Handedness::Right, Handedness::Left))->landingOffset);
    }

    public function test_an_angle_near_straight_is_still_exact(): void
    {
        $at = new Point(0, 0);
        foreach ([0.0, 1e-6, 90.0, 179.9999, 180.0] as $degrees) {
            $angle = $at->angleBetween(new Point(100, 0), new Point(50 * cos(deg2rad($degrees)), 50 * sin(deg2rad($degrees))));
            $this->assertEqualsWithDelta($degrees, $angle, 1e-9);
        }
        $this->assertNull($at->angleBetween(new Point(0, 0), new Point(1, 1)));
    }

    public function test_a_line_of_no_length_and_a_landmark_nobody_has_are_refused(): void
    {
        foreach ([
            fn () => new Line(new Point(3, 4), new Point(3, 4)),
            fn () => new Landmarks(['left_ear' => new Point(0, 0)]),
            fn () => new Picture(new Landmarks([]), Handedness::Left, Handedness::Left, scaleM: 0.0),
        ] as $make) {
            try {
                $make();
                $this->fail('It was taken.');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }
}
