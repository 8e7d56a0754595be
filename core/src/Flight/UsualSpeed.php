<?php

declare(strict_types=1);

namespace Augendo\Core\Flight;

use Augendo\Core\Mechanics\Statistics;

/** How fast somebody serves as a rule: the middle of the last measured serves, not the fastest of them; else the test on record. */
final readonly class UsualSpeed
{
    /** Serves measured longer ago say little of how somebody serves now. */
    public const LAST_DAYS = ServeCounts::LAST_DAYS;

    /** The latest so many are looked at; fewer than the least are no usual speed. */
    public const LATEST = 40;

    private const LEAST = 5;

    /**
     * @param  float  $speedMs  metres per second, to a tenth
     * @param  'gun'|'test'  $from
     * @param  int  $serves  it is the middle one of; 0 of a test
     */
    private function __construct(public float $speedMs, public string $from, public int $serves) {}

    /**
     * @param  list<float>  $measuredMs  of the last days, the latest first
     * @param  float|null  $testedMs  the reference speed on record
     * @return self|null null: nobody has measured one
     */
    public static function of(array $measuredMs, ?float $testedMs): ?self
    {
        $latest = array_slice($measuredMs, 0, self::LATEST);
        if (count($latest) >= self::LEAST) {
            return new self(round(Statistics::median($latest), 1), 'gun', count($latest));
        }

        return $testedMs === null ? null : new self($testedMs, 'test', 0);
    }
}
