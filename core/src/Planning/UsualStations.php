<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockKind;
use Augendo\Core\Load\Surface;

/** What a squad's session is set up with before anybody changes it. */
final class UsualStations
{
    public const MINUTES = 75;

    public const ADULTS = 2;

    public const BALLS = 30;

    private const CAPACITY = 8;

    private const BALLS_EACH = 3;

    /** A station is no shorter, and reaches this much beyond the longest throw or serve on it. */
    private const LEAST_LENGTH_M = 10.0;

    private const BEYOND_M = 5.0;

    /** Everybody does these where they stand. */
    private const NO_STATION = [BlockKind::WarmUp, BlockKind::CoolDown];

    /** Something is thrown, served or landed at full length: an adult stands by. */
    private const NEEDS_ADULT = [BlockKind::Whole, BlockKind::Target, BlockKind::GameLike];

    /**
     * One for each kind of block that anybody works on, in the order of a session.
     *
     * @param  list<BlockPlan>  $plans  of everybody
     * @param  Surface|null  $floor  null: not known
     * @param  callable(non-empty-list<BlockPlan>): string  $title  of the station where these are done
     * @param  float|null  $roomM  no station is longer than the room; what does not fit in is flagged as any short area
     * @return list<Station>
     */
    public static function for(array $plans, ?Surface $floor, callable $title, ?float $roomM = null): array
    {
        $stations = [];
        foreach (BlockKind::cases() as $kind) {
            $there = array_values(array_filter($plans, fn (BlockPlan $plan): bool => $plan->asked->kind === $kind && $plan->reps > 0));
            if ($there === [] || in_array($kind, self::NO_STATION, true)) {
                continue;
            }
            $longestM = max(array_map(fn (BlockPlan $plan): float => (float) $plan->distanceM, $there));
            $stations[] = new Station(
                id: $kind->value,
                title: $title($there),
                kinds: [$kind],
                lengthM: min($roomM ?? INF, max(self::LEAST_LENGTH_M, ceil($longestM) + self::BEYOND_M)),
                capacity: self::CAPACITY,
                needsAdult: in_array($kind, self::NEEDS_ADULT, true),
                surface: $floor,
                gloves: false,
                ballsEach: $kind === BlockKind::Rehearsal ? 0 : self::BALLS_EACH,
            );
        }

        return $stations;
    }
}
