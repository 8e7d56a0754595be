<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

use Augendo\Core\Library\Handedness;

/** One number of a picture, named by what the athlete throws with: a ladder asks for it of left-handers and right-handers alike. */
enum FrameFigure: string
{
    case ThrowingElbow = 'throwing_elbow';
    case ThrowingShoulder = 'throwing_shoulder';
    case ThrowingHip = 'throwing_hip';
    case ThrowingKnee = 'throwing_knee';
    case OtherElbow = 'other_elbow';
    case OtherShoulder = 'other_shoulder';
    case OtherHip = 'other_hip';
    case OtherKnee = 'other_knee';
    case TrunkTilt = 'trunk_tilt';
    case ShoulderLine = 'shoulder_line';
    case WristAboveElbow = 'wrist_above_elbow';
    case ElbowAboveShoulder = 'elbow_above_shoulder';
    case BallAboveShoulder = 'ball_above_shoulder';
    case BallForward = 'ball_forward';
    case LandingOffset = 'landing_offset';

    /** How far off a point put by hand lies, as a share of the picture's longer side: one standard deviation along either axis. */
    public const HAND_SPREAD_SHARE = 0.0015;

    /** And one that the model on the device proposed, and nobody has touched yet: as wide as it was on drawn figures (docs/film.md). */
    public const MODEL_SPREAD_SHARE = 0.03;

    /** Half a step of the difference that says how a figure hangs on a point, in pixels. */
    private const NUDGE_PX = 0.5;

    /** @return 'deg'|'trunk' degrees, or lengths of the trunk */
    public function unit(): string
    {
        return match ($this) {
            self::WristAboveElbow, self::ElbowAboveShoulder, self::BallAboveShoulder, self::BallForward, self::LandingOffset => 'trunk',
            default => 'deg',
        };
    }

    public function of(Picture $picture): ?float
    {
        $measures = FrameMeasures::of($picture);
        $angle = $this->angle($picture->throwingSide);

        return $angle !== null ? $measures->angles[$angle] : match ($this) {
            self::TrunkTilt => $measures->trunkTiltDeg,
            self::ShoulderLine => $measures->shoulderLineDeg,
            self::WristAboveElbow => $measures->wristAboveElbow?->trunk,
            self::ElbowAboveShoulder => $measures->elbowAboveShoulder?->trunk,
            self::BallAboveShoulder => $measures->ballAboveShoulder?->trunk,
            self::BallForward => $measures->ballForward?->trunk,
            default => $measures->landingOffset?->trunk,
        };
    }

    /** @return list<string> the landmarks it is made of, those of the joint first */
    public function needs(Handedness $throwing): array
    {
        $angle = $this->angle($throwing);
        if ($angle !== null) {
            [$side, $joint] = explode('_', $angle);

            return array_map(fn (Joint $of): string => "{$side}_{$of->value}", FrameMeasures::ANGLES[$joint]);
        }
        [$side, $other] = [$throwing->value, $throwing->opposite()->value];
        $own = match ($this) {
            self::TrunkTilt => [],
            self::ShoulderLine => ["{$side}_shoulder", "{$other}_shoulder"],
            self::WristAboveElbow => ["{$side}_wrist", "{$side}_elbow"],
            self::ElbowAboveShoulder => ["{$side}_elbow", "{$side}_shoulder"],
            self::BallAboveShoulder => [Landmarks::BALL, "{$side}_shoulder"],
            self::BallForward => [Landmarks::BALL, "{$other}_ankle"],
            default => ['left_ankle', 'right_ankle'],
        };
        $trunk = $this === self::ShoulderLine ? [] : ['left_shoulder', 'right_shoulder', 'left_hip', 'right_hip'];

        return array_values(array_unique([...$own, ...$trunk]));
    }

    /** Whether it is measured from a line drawn along the run-up. */
    public function needsRunway(): bool
    {
        return $this === self::LandingOffset;
    }

    /**
     * How far it may be off because of where the points were put: each point's own spread, carried through to first order.
     *
     * @param  array<string, float>  $spreadPx  standard deviation of each landmark in pixels, along either axis
     * @return float|null one standard deviation in the figure's unit; null where it is not measured
     */
    public function spread(Picture $picture, array $spreadPx): ?float
    {
        if ($this->of($picture) === null) {
            return null;
        }
        $variance = 0.0;
        foreach (array_intersect($this->needs($picture->throwingSide), array_keys($picture->landmarks->points)) as $name) {
            foreach ([[self::NUDGE_PX, 0.0], [0.0, self::NUDGE_PX]] as [$x, $y]) {
                $more = $this->of($picture->with($picture->landmarks->moved($name, $x, $y)));
                $less = $this->of($picture->with($picture->landmarks->moved($name, -$x, -$y)));
                if ($more === null || $less === null) {
                    continue;
                }
                $change = $this->unit() === 'deg' ? fmod($more - $less + 540.0, 360.0) - 180.0 : $more - $less;
                $variance += ($change / (2 * self::NUDGE_PX) * ($spreadPx[$name] ?? 0.0)) ** 2;
            }
        }

        return sqrt($variance);
    }

    /** @return string|null the angle of the body it is, as `FrameMeasures::$angles` has it */
    private function angle(Handedness $throwing): ?string
    {
        [$whose, $joint] = explode('_', $this->value, 2);

        return match ($whose) {
            'throwing' => "{$throwing->value}_{$joint}",
            'other' => "{$throwing->opposite()->value}_{$joint}",
            default => null,
        };
    }
}
