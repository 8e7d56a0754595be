<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\InvalidValue;

/**
 * The air a ball flies through: pressure by the International Standard Atmosphere (ISO 2533), density by the gas law for dry air.
 * No wind.
 */
final readonly class Air
{
    private const SEA_LEVEL_PA = 101_325.0;

    /** Of the temperature of the standard atmosphere, by metre. */
    private const LAPSE_SHARE = 2.25577e-5;

    private const PRESSURE_POWER = 5.25588;

    /** J/(kg K), dry air. */
    private const GAS_CONSTANT = 287.0528;

    private const ZERO_C_IN_K = 273.15;

    public const LOWEST_M = -500.0;

    public const HIGHEST_M = 9000.0;

    public float $densityKgM3;

    /** @throws InvalidValue */
    public function __construct(public float $temperatureC = 15.0, public float $altitudeM = 0.0)
    {
        if ($temperatureC <= -self::ZERO_C_IN_K || $altitudeM < self::LOWEST_M || $altitudeM > self::HIGHEST_M) {
            throw new InvalidValue("No air at {$temperatureC} °C and {$altitudeM} m that anybody throws in.");
        }
        $pressurePa = self::SEA_LEVEL_PA * (1 - self::LAPSE_SHARE * $altitudeM) ** self::PRESSURE_POWER;
        $this->densityKgM3 = $pressurePa / (self::GAS_CONSTANT * ($temperatureC + self::ZERO_C_IN_K));
    }
}
