<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** A figure of a picture as a checkpoint asks for it, and what the band makes of it. */
final readonly class Judged
{
    /** @param  float  $spread  one standard deviation, in the figure's unit */
    private function __construct(public float $value, public float $spread, public Look $look) {}

    /**
     * @param  array<string, float>  $spreadPx  standard deviation of each landmark, in pixels
     * @return self|null null where a point it needs is not there
     */
    public static function of(MeasureBand $band, Picture $picture, array $spreadPx): ?self
    {
        $value = $band->figure->of($picture);
        $spread = $band->figure->spread($picture, $spreadPx);

        return $value === null || $spread === null ? null : new self($value, $spread, $band->judge($value, $spread));
    }
}
