<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

/** One way through the air, to be drawn. */
final readonly class Arc
{
    private const POINTS = 24;

    /** @param  list<array{float, float}>  $points  metres along and above the ground, from the release to where it comes down */
    private function __construct(public float $elevationDeg, public float $apexM, public Landing $landing, public array $points) {}

    /** @return self|null null when it does not come down to that height from above */
    public static function of(Ball $ball, Air $air, Release $release, float $groundM): ?self
    {
        $flight = Trajectory::of($ball, $air, $release, $groundM);
        $landing = $flight->landing;
        if ($landing === null) {
            return null;
        }
        $points = [];
        for ($i = 0; $i < self::POINTS; $i++) {
            $along = $landing->rangeM * $i / self::POINTS;
            $height = $flight->heightAtM($along);
            if ($height !== null) {
                $points[] = [$along, $height];
            }
        }

        return new self($release->elevationDeg, $flight->apexM, $landing, [...$points, [$landing->rangeM, $groundM]]);
    }
}
