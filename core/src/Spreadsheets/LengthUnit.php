<?php

declare(strict_types=1);

namespace Augendo\Core\Spreadsheets;

/** What distances are written in. */
enum LengthUnit: string
{
    case Metres = 'm';
    case Feet = 'ft';
    case Yards = 'yd';

    /** Exact by definition (international foot and yard). */
    private const IN_METRES = ['m' => 1.0, 'ft' => 0.3048, 'yd' => 0.9144];

    /** @return self|null what a title says: “Distance (m)”, “distance in feet”; null when it does not */
    public static function told(string $title): ?self
    {
        return match (true) {
            preg_match('/\b(m|metres?|meters?)\b/i', $title) === 1 => self::Metres,
            preg_match('/\b(ft|feet|foot)\b/i', $title) === 1 => self::Feet,
            preg_match('/\b(yds?|yards?)\b/i', $title) === 1 => self::Yards,
            default => null,
        };
    }

    public function inMetres(float $value): float
    {
        return round($value * self::IN_METRES[$this->value], 2);
    }
}
