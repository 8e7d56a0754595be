<?php

declare(strict_types=1);

// How far a figure of a picture is off when a hand puts the points, or the model: php bench/frames.php [times]
// A pose whose joints are known, with a trunk of so many pixels; every point is put beside its place. Prints what docs/film.md says.

require dirname(__DIR__).'/vendor/autoload.php';

use Augendo\Core\Frames\Foreshortening;
use Augendo\Core\Frames\FrameFigure;
use Augendo\Core\Frames\Landmarks;
use Augendo\Core\Frames\Line;
use Augendo\Core\Frames\MeasureBand;
use Augendo\Core\Frames\Picture;
use Augendo\Core\Frames\Point;
use Augendo\Core\Library\Handedness;

$times = (int) ($argv[1] ?? 2000);
const LONGER_SIDE_PX = 1280;
const POSE = [
    'left_shoulder' => [0.22, -1.04], 'right_shoulder' => [-0.20, -0.90], 'left_elbow' => [0.42, -1.45], 'left_wrist' => [0.50, -1.85],
    'right_elbow' => [-0.66, -0.96], 'right_wrist' => [-0.50, -1.38], 'left_hip' => [0.12, -0.01], 'right_hip' => [-0.12, 0.01],
    'left_knee' => [0.46, 0.72], 'right_knee' => [-0.08, 0.72], 'left_ankle' => [0.34, 1.50], 'right_ankle' => [-0.42, 1.50],
];
const FIGURES = [
    FrameFigure::ThrowingElbow, FrameFigure::ThrowingShoulder, FrameFigure::OtherKnee, FrameFigure::TrunkTilt, FrameFigure::ShoulderLine,
    FrameFigure::ElbowAboveShoulder,
];

mt_srand(14);
$normal = fn (): float => sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
$by = [
    'by hand' => FrameFigure::HAND_SPREAD_SHARE * LONGER_SIDE_PX,
    'by the model' => FrameFigure::MODEL_SPREAD_SHARE * LONGER_SIDE_PX,
];
foreach ($by as $who => $spreadPx) {
    foreach ([90, 180, 270] as $trunkPx) {
        $points = array_map(fn (array $at): Point => new Point(640 + $trunkPx * $at[0], 360 + $trunkPx * $at[1]), POSE);
        $truth = new Picture(new Landmarks($points), Handedness::Right, Handedness::Right);
        printf("%s (%.1f px), trunk of %d px\n", $who, $spreadPx, $trunkPx);
        foreach (FIGURES as $figure) {
            [$off, $within] = [0.0, 0];
            for ($i = 0; $i < $times; $i++) {
                $put = $truth->with(new Landmarks(
                    array_map(fn (Point $at): Point => $at->moved($spreadPx * $normal(), $spreadPx * $normal()), $points),
                ));
                $error = abs((float) $figure->of($put) - (float) $figure->of($truth));
                $error = $figure->unit() === 'deg' ? min($error, 360 - $error) : $error;
                $off += $error;
                $told = MeasureBand::SURE_SD * (float) $figure->spread($put, array_fill_keys(array_keys($points), $spreadPx));
                $within += $error <= $told ? 1 : 0;
            }
            [$mean, $share] = [$off / $times, 100 * $within / $times];
            printf("  %-22s mean %6.2f %-5s  within its ± %4.1f %%\n", $figure->value, $mean, $figure->unit(), $share);
        }
    }
}

// The same pose as a camera sees it that stands askew: rolled, with an upright line drawn in the picture or without one; and turned
// away from its plane, with what the length of limbs says of it. Points are put by hand, on a trunk of 180 px.
$spreadPx = FrameFigure::HAND_SPREAD_SHARE * LONGER_SIDE_PX;
$seen = function (float $rollDeg, float $turnDeg, float $alongDeg) use ($normal, $spreadPx): Landmarks {
    $points = [];
    foreach (POSE as $name => [$x, $y]) {
        // An arm that reaches towards the camera or away from it, then the whole body turned about the upright.
        $isArm = in_array($name, ['right_elbow', 'right_wrist'], true);
        if ($isArm) {
            $shoulderX = POSE['right_shoulder'][0];
            $x = $shoulderX + ($x - $shoulderX) * cos(deg2rad($alongDeg));
        }
        $x *= cos(deg2rad($turnDeg));
        $roll = deg2rad($rollDeg);
        $points[$name] = new Point(
            640 + 180 * ($x * cos($roll) - $y * sin($roll)) + $spreadPx * $normal(),
            360 + 180 * ($x * sin($roll) + $y * cos($roll)) + $spreadPx * $normal(),
        );
    }

    return new Landmarks($points);
};
$flat = new Picture(
    new Landmarks(array_map(fn (array $at): Point => new Point(640 + 180 * $at[0], 360 + 180 * $at[1]), POSE)),
    Handedness::Right, Handedness::Right,
);
$longest = Foreshortening::longest([$flat->landmarks]);
$cases = [
    'straight' => [0, 0, 0, false], 'rolled 5°' => [5, 0, 0, false], 'rolled 5°, upright drawn' => [5, 0, 0, true],
    'rolled 10°' => [10, 0, 0, false], 'rolled 10°, upright drawn' => [10, 0, 0, true],
    'body turned 20°' => [0, 20, 0, false], 'body turned 40°' => [0, 40, 0, false],
    'arm 25° out' => [0, 0, 25, false], 'arm 45° out' => [0, 0, 45, false], 'arm 60° out' => [0, 0, 60, false],
];
foreach ($cases as $name => [$rollDeg, $turnDeg, $alongDeg, $drawn]) {
    printf("%s\n", $name);
    $roll = deg2rad($rollDeg);
    $plumb = $drawn ? new Line(new Point(900 + 300 * sin($roll), 400 - 300 * cos($roll)), new Point(900.0, 400.0)) : null;
    foreach (FIGURES as $figure) {
        [$off, $told] = [0.0, 0];
        for ($i = 0; $i < $times; $i++) {
            $picture = new Picture($seen($rollDeg, $turnDeg, $alongDeg), Handedness::Right, Handedness::Right, plumb: $plumb);
            $error = abs((float) $figure->of($picture) - (float) $figure->of($flat));
            $off += $figure->unit() === 'deg' ? min($error, 360 - $error) : $error;
            $turned = Foreshortening::degrees($figure, $picture, $longest);
            $told += $turned !== null && $turned >= Foreshortening::TOLD_FROM_DEG ? 1 : 0;
        }
        printf("  %-22s mean %6.2f %-5s  told as turned %5.1f %%\n", $figure->value, $off / $times, $figure->unit(), 100 * $told / $times);
    }
}
