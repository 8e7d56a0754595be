<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

use Augendo\Core\Library\Handedness;

/**
 * How far limbs are turned out of the picture, from how long they look against the longest they ever looked, in lengths of the trunk.
 * One camera sees one plane: a limb of length L that looks as long as l is turned by about arccos(l / L), and what is measured with it is
 * wrong.
 * An estimate: the trunk may be turned as well, and the longest may have been turned, too.
 */
final class Foreshortening
{
    /** Less is within what the points are off. */
    public const TOLD_FROM_DEG = 30.0;

    private const LIMBS = [
        'upper_arm' => [Joint::Shoulder, Joint::Elbow],
        'forearm' => [Joint::Elbow, Joint::Wrist],
        'thigh' => [Joint::Hip, Joint::Knee],
        'shank' => [Joint::Knee, Joint::Ankle],
    ];

    /**
     * @return array<string, float> of each limb that is seen, in trunks; of left and right the longer one, for they are as long
     */
    public static function lengths(Landmarks $landmarks): array
    {
        $lengths = [];
        foreach (self::LIMBS as $limb => $joints) {
            $seen = array_filter(array_map(
                fn (Handedness $side): ?float => self::length($landmarks, $side, $joints), [Handedness::Left, Handedness::Right],
            ), fn (?float $length): bool => $length !== null);
            if ($seen !== []) {
                $lengths[$limb] = max($seen);
            }
        }

        return $lengths;
    }

    /**
     * @param  list<Landmarks>  $all  of one athlete
     * @return array<string, float> the longest each limb ever looked, in trunks
     */
    public static function longest(array $all): array
    {
        $longest = [];
        foreach ($all as $landmarks) {
            foreach (self::lengths($landmarks) as $limb => $length) {
                $longest[$limb] = max($longest[$limb] ?? 0.0, $length);
            }
        }

        return $longest;
    }

    /**
     * @param  array<string, float>  $longest  see longest()
     * @return float|null by how many degrees the limb of a figure that is turned most is turned; null: it is made of none, or nothing is
     *         known to hold it against
     */
    public static function degrees(FrameFigure $figure, Picture $picture, array $longest): ?float
    {
        $needs = $figure->needs($picture->throwingSide);
        $turned = [];
        foreach (self::LIMBS as $limb => $joints) {
            foreach ([Handedness::Left, Handedness::Right] as $side) {
                $names = array_map(fn (Joint $joint): string => "{$side->value}_{$joint->value}", $joints);
                $length = array_diff($names, $needs) === [] ? self::length($picture->landmarks, $side, $joints) : null;
                if ($length !== null && isset($longest[$limb])) {
                    $turned[] = rad2deg(acos(min(1.0, $length / $longest[$limb])));
                }
            }
        }

        return $turned === [] ? null : max($turned);
    }

    /** @param  array{Joint, Joint}  $joints */
    private static function length(Landmarks $landmarks, Handedness $side, array $joints): ?float
    {
        [$one, $other] = [$landmarks->of($side, $joints[0]), $landmarks->of($side, $joints[1])];
        $hips = $landmarks->middle(Joint::Hip);
        $trunkPx = $hips === null ? null : $landmarks->middle(Joint::Shoulder)?->from($hips)->length();
        $limbPx = $one === null ? null : $other?->from($one)->length();

        return $limbPx === null || $trunkPx === null || $trunkPx <= 0.0 ? null : $limbPx / $trunkPx;
    }
}
