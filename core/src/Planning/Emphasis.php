<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** How heavy a day of a season is meant to be. */
enum Emphasis: string
{
    case Heavy = 'heavy';
    case Light = 'light';
    /** Lighter than the week before it was. */
    case LightWeek = 'light_week';
    /** The last days before the goal: fewer repetitions, the effort kept, nothing new. */
    case Taper = 'taper';
    /** Two or three days before a match, or the day after one. */
    case AroundMatch = 'around_match';
    case BeforeMatch = 'before_match';
    /** In place of a heavy day: something is measured at full effort. */
    case Test = 'test';
    /** A stage of a return: its dose is what it is. */
    case Stage = 'stage';

    /** A match is met fresh: so much effort less in the days around it. */
    private const EASIER_BY = 0.15;

    /** @return float share of the repetitions of a heavy day; a lighter week is measured by the week before it where there was one */
    public function share(): float
    {
        return match ($this) {
            self::Heavy, self::Test, self::Stage => 1.0,
            self::Light, self::AroundMatch => 0.7,
            self::LightWeek => LightWeek::SHARE,
            self::Taper => 0.6,
            self::BeforeMatch => 0.5,
        };
    }

    /** Whether the part needs its rest after it. */
    public function isHeavy(): bool
    {
        return $this === self::Heavy || $this === self::Test;
    }

    /** @return float effort taken off that of a heavy day, 0 to 1 */
    public function easierBy(): float
    {
        return $this === self::BeforeMatch || $this === self::AroundMatch ? self::EASIER_BY : 0.0;
    }
}
