<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

/** The smallest change that makes good what is short: a lane, balls, an adult, minutes. */
final readonly class WhatWouldHelp
{
    /** Nobody asks for more than these. */
    private const MOST_MORE_MIN = 60;

    private const MORE_BALLS = [6, 12, 24];

    /**
     * @param  'lane'|'balls'|'adult'|'minutes'  $what
     * @param  string|null  $space  id, of a lane
     * @param  int  $seconds  of work placed more, of everybody together
     * @param  float  $leastShare  of useful work, of whoever has least of it then
     */
    private function __construct(
        public string $what,
        public int $more,
        public ?string $space,
        public int $seconds,
        public float $leastShare,
    ) {}

    /** @return self|null null: nothing is short, or none of these would help */
    public static function with(StationPlan $plan): ?self
    {
        $noTime = array_filter($plan->leftOut, fn (LeftOut $left): bool => $left->why === WhyOut::Time) !== [];
        if (! $noTime && $plan->leastShare() >= StationPlan::USEFUL_SHARE) {
            return null;
        }
        $best = null;
        foreach (self::changes($plan->hour, $noTime) as [$what, $more, $space, $hour]) {
            $changed = StationPlan::make($hour);
            $seconds = $changed->seconds() - $plan->seconds();
            $gain = $noTime ? (float) $seconds : $changed->leastShare() - $plan->leastShare();
            $more = $what === 'minutes' ? max(1, $changed->endsMin() - $plan->hour->minutes) : $more;
            // Minutes always make room: they are the answer only where nothing else brings half as much.
            $worth = $what === 'minutes' ? $gain / 2 : $gain;
            if ($worth > ($best[0] ?? 0.0) + 1e-9) {
                $best = [$worth, new self($what, $more, $space, $seconds, $changed->leastShare())];
            }
        }

        return $best[1] ?? null;
    }

    /**
     * @param  bool  $noTime  more minutes make room for work, and nobody more useful
     * @return iterable<array{'lane'|'balls'|'adult'|'minutes', int, string|null, Hour}>
     */
    private static function changes(Hour $hour, bool $noTime): iterable
    {
        foreach ($hour->spaces as $s => $space) {
            $wider = $hour->spaces;
            $wider[$s] = new Space($space->id, $space->lengthM, $space->lanes + 1, $space->surface, $space->sector);
            yield ['lane', 1, $space->id, $hour->with(['spaces' => $wider])];
        }
        foreach (self::MORE_BALLS as $more) {
            yield ['balls', $more, null, $hour->with(['balls' => $hour->balls + $more])];
        }
        yield ['adult', 1, null, $hour->with(['adults' => $hour->adults + 1])];
        if ($noTime) {
            yield ['minutes', self::MOST_MORE_MIN, null, $hour->with(['minutes' => $hour->minutes + self::MOST_MORE_MIN])];
        }
    }
}
