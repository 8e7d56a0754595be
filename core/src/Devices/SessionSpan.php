<?php

declare(strict_types=1);

namespace Augendo\Core\Devices;

/** From when to when a reading is of a session. Seconds since 1970. */
final readonly class SessionSpan
{
    /** What came so long before the first tap and after the last is of the session still. */
    public const AROUND_S = 1800.0;

    /** Of two that follow each other the later begins so long before it starts. */
    private const EARLY_S = 900.0;

    private const USUAL_MIN = 120;

    private function __construct(public float $fromS, public float $untilS) {}

    /**
     * A reading is of one session of a squad alone.
     *
     * @param  float  $startsS  as planned
     * @param  int|null  $minutes  that are planned
     * @param  list<float>  $tapsS  in any order
     * @param  list<float>  $othersS  when the squad's other sessions of the day began, or are to begin
     */
    public static function of(float $startsS, ?int $minutes, array $tapsS, array $othersS): self
    {
        $times = $tapsS === [] ? [$startsS, $startsS + 60.0 * ($minutes ?? self::USUAL_MIN)] : $tapsS;
        $began = $tapsS === [] ? $startsS : min($tapsS);
        [$from, $until] = [min($times) - self::AROUND_S, max($times) + self::AROUND_S];
        foreach ($othersS as $other) {
            if ($other > $began) {
                $until = min($until, $other - self::EARLY_S);
            } else {
                $from = max($from, $began - self::EARLY_S);
            }
        }

        return new self($from, $until);
    }

    public function holds(float $atS): bool
    {
        return $this->fromS <= $atS && $atS <= $this->untilS;
    }
}
