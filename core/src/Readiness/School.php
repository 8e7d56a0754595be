<?php

declare(strict_types=1);

namespace Augendo\Core\Readiness;

enum School: string
{
    case Graded = 'graded';
    case Strict = 'strict';

    private const STRICT_UNDER_YEARS = 16;

    /** Strict under 16 years or when the age is not known, graded from then on. */
    public static function byDefaultAt(?int $age): self
    {
        return $age === null || $age < self::STRICT_UNDER_YEARS ? self::Strict : self::Graded;
    }

    /**
     * Rules 1 to 5: the word of one report.
     *
     * @param  int  $score 0 to 10
     */
    public function wordOf(Kind $kind, int $score): Word
    {
        if ($score === 0) {
            return Word::Full;
        }
        if ($score >= 8) {
            return Word::Refer;
        }

        return match ($kind) {
            Kind::Numb, Kind::Swelling, Kind::Locking, Kind::Head => Word::Refer,
            Kind::Sharp => $score >= 4 ? Word::Refer : Word::None,
            Kind::Joint => match (true) {
                $score >= 5 => Word::Refer,
                $score >= 3 || $this === self::Strict => Word::None,
                default => Word::Reduced,
            },
            Kind::Muscle => match (true) {
                $score >= ($this === self::Strict ? 4 : 5) => Word::None,
                $score >= ($this === self::Strict ? 2 : 3) => Word::Reduced,
                default => Word::Full,
            },
            Kind::Skin => $score >= 3 ? Word::None : Word::Full,
        };
    }
}
