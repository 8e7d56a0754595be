<?php

declare(strict_types=1);

namespace Augendo\Core\Frames;

/** A figure of a picture as a checkpoint asks for it, and what the band makes of it. */
final readonly class Judged
{
    /**
     * @param  float  $spread  one standard deviation, in the figure's unit
     * @param  float|null  $turnedDeg  by about how much a limb of it is turned out of the picture, where that is enough to be told
     */
    private function __construct(public float $value, public float $spread, public Look $look, public ?float $turnedDeg) {}

    /**
     * What is turned out of the picture says nothing either way.
     *
     * @param  array<string, float>  $spreadPx  standard deviation of each landmark, in pixels
     * @param  array<string, float>  $longest  of the athlete's limbs, see Foreshortening
     * @return self|null null where a point it needs is not there
     */
    public static function of(MeasureBand $band, Picture $picture, array $spreadPx, array $longest = []): ?self
    {
        $value = $band->figure->of($picture);
        $spread = $band->figure->spread($picture, $spreadPx);

        if ($value === null || $spread === null) {
            return null;
        }
        $turned = Foreshortening::degrees($band->figure, $picture, $longest);
        $isTold = $turned !== null && $turned >= Foreshortening::TOLD_FROM_DEG;

        return new self($value, $spread, $isTold ? Look::Uncertain : $band->judge($value, $spread), $isTold ? $turned : null);
    }
}
