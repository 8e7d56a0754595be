<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

use Augendo\Core\Library\Handedness;

/**
 * What one picture says: angles in degrees, lengths in trunks and metres. Whatever needs a point that is not there is null; nothing is
 * carried on from a guess. One camera sees one plane: what turns towards it reads short (`Foreshortening`).
 */
final readonly class FrameMeasures
{
    /** The joint in the middle, and the two it is measured between. */
    public const ANGLES = [
        'elbow' => [Joint::Shoulder, Joint::Elbow, Joint::Wrist],
        'knee' => [Joint::Hip, Joint::Knee, Joint::Ankle],
        'shoulder' => [Joint::Hip, Joint::Shoulder, Joint::Elbow],
        'hip' => [Joint::Shoulder, Joint::Hip, Joint::Knee],
    ];

    /**
     * @param  array<string, float|null>  $angles  degrees, 0 to 180, by side and joint: `left_elbow`, …
     * @param  float|null  $trunkTiltDeg  of the trunk against up, positive towards the target
     * @param  float|null  $shoulderLineDeg  from the throwing shoulder to the other one against the horizontal, −90 to 90, positive
     *         when the other one is higher
     * @param  Length|null  $wristAboveElbow  of the throwing side
     * @param  Length|null  $elbowAboveShoulder  of the throwing side
     * @param  Length|null  $ballAboveShoulder  over the throwing shoulder
     * @param  Length|null  $ballForward  beyond the ankle of the other side, towards the target
     * @param  Length|null  $landingOffset  of the middle of both ankles from the line of the runway, positive to its right
     */
    private function __construct(
        public array $angles,
        public ?float $trunkTiltDeg,
        public ?float $shoulderLineDeg,
        public ?Length $wristAboveElbow,
        public ?Length $elbowAboveShoulder,
        public ?Length $ballAboveShoulder,
        public ?Length $ballForward,
        public ?Length $landingOffset,
    ) {}

    public static function of(Picture $picture): self
    {
        $landmarks = $picture->landmarks;
        $shoulder = $picture->throwing(Joint::Shoulder);
        $elbow = $picture->throwing(Joint::Elbow);
        $ankles = $landmarks->middle(Joint::Ankle);
        $trunk = $picture->trunk();

        return new self(
            angles: self::angles($landmarks),
            trunkTiltDeg: $trunk?->unit() === null
                ? null
                : rad2deg(atan2($trunk->dot($picture->forward), $trunk->dot($picture->up))),
            shoulderLineDeg: self::shoulderLine($picture),
            wristAboveElbow: self::along($picture, $picture->up, $picture->throwing(Joint::Wrist), $elbow),
            elbowAboveShoulder: self::along($picture, $picture->up, $elbow, $shoulder),
            ballAboveShoulder: self::along($picture, $picture->up, $landmarks->ball(), $shoulder),
            ballForward: self::along($picture, $picture->forward, $landmarks->ball(), $picture->other(Joint::Ankle)),
            landingOffset: $ankles === null || $picture->runway === null
                ? null
                : $picture->length($picture->runway->offset($ankles)),
        );
    }

    /** @return array<string, float|null> */
    private static function angles(Landmarks $landmarks): array
    {
        $angles = [];
        foreach ([Handedness::Left, Handedness::Right] as $side) {
            foreach (self::ANGLES as $name => $joints) {
                [$one, $middle, $other] = array_map(fn (Joint $joint): ?Point => $landmarks->of($side, $joint), $joints);
                $angles["{$side->value}_{$name}"] = $one === null || $other === null ? null : $middle?->angleBetween($one, $other);
            }
        }

        return $angles;
    }

    private static function shoulderLine(Picture $picture): ?float
    {
        [$throwing, $other] = [$picture->throwing(Joint::Shoulder), $picture->other(Joint::Shoulder)];
        $line = $throwing === null ? null : $other?->from($throwing);

        return $line?->unit() === null
            ? null
            : rad2deg(atan2($line->dot($picture->up), abs($line->dot($picture->forward))));
    }

    private static function along(Picture $picture, Point $way, ?Point $point, ?Point $over): ?Length
    {
        return $point === null || $over === null ? null : $picture->length($point->from($over)->dot($way));
    }
}
