<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

use Augendo\Core\InvalidValue;
use Augendo\Core\Library\Handedness;

/** A still with its landmarks, and what is known of how it was taken: which way is up, where the target lies, how long a metre is. */
final readonly class Picture
{
    /** One pixel straight up, by the plumb line. */
    public Point $up;

    /** One pixel towards the target, at a right angle to it. */
    public Point $forward;

    /** metres a pixel; null where no scale was set */
    public ?float $metresAPixel;

    /**
     * @param  Handedness  $throwingSide  of the athlete
     * @param  Handedness  $target  side of the picture the target lies on
     * @param  Line|null  $plumb  from its top to its bottom; null: the picture's own vertical
     * @param  Line|null  $scale  something whose length is known
     * @param  float|null  $scaleM  that length in metres
     * @param  Line|null  $runway  in the direction of the run-up
     *
     * @throws InvalidValue
     */
    public function __construct(
        public Landmarks $landmarks,
        public Handedness $throwingSide,
        public Handedness $target,
        private ?Line $plumb = null,
        private ?Line $scale = null,
        private ?float $scaleM = null,
        public ?Line $runway = null,
    ) {
        if ($scaleM !== null && $scaleM <= 0.0) {
            throw new InvalidValue("A scale of {$scaleM} m measures nothing.");
        }
        $this->up = ($plumb === null ? null : $plumb->from->from($plumb->to)->unit()) ?? new Point(0.0, -1.0);
        $right = $this->up->turnedRight();
        $this->forward = $target === Handedness::Right ? $right : new Point(-$right->x, -$right->y);
        $this->metresAPixel = $scale === null || $scaleM === null ? null : $scaleM / $scale->way()->length();
    }

    public function throwing(Joint $joint): ?Point
    {
        return $this->landmarks->of($this->throwingSide, $joint);
    }

    public function other(Joint $joint): ?Point
    {
        return $this->landmarks->of($this->throwingSide->opposite(), $joint);
    }

    /** From the middle of the hips to the middle of the shoulders. */
    public function trunk(): ?Point
    {
        $hips = $this->landmarks->middle(Joint::Hip);

        return $hips === null ? null : $this->landmarks->middle(Joint::Shoulder)?->from($hips);
    }

    /** @param  float  $pixels  signed */
    public function length(float $pixels): Length
    {
        $trunk = $this->trunk()?->length() ?? 0.0;

        return new Length(
            $trunk > 0.0 ? $pixels / $trunk : null,
            $this->metresAPixel === null ? null : $pixels * $this->metresAPixel,
        );
    }

    /** The same picture with other points on it. */
    public function with(Landmarks $landmarks): self
    {
        return new self(
            $landmarks, $this->throwingSide, $this->target, $this->plumb, $this->scale, $this->scaleM, $this->runway,
        );
    }
}
