<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** How heavy a day of a season is meant to be. */
enum Emphasis: string
{
    case Heavy = 'heavy';
    case Light = 'light';
    case LightWeek = 'light_week';
    case BeforeMatch = 'before_match';
    /** A stage of a return: its dose is what it is. */
    case Stage = 'stage';

    /** @return float share of the repetitions of a heavy day */
    public function share(): float
    {
        return match ($this) {
            self::Heavy, self::Stage => 1.0,
            self::Light => 0.7,
            self::LightWeek, self::BeforeMatch => 0.5,
        };
    }
}
