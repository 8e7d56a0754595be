<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockKind;
use Augendo\Core\Load\Surface;

/**
 * Groups that rotate through stations on one clock: everybody warms up together, each group is at each station once, everybody cools down
 * together. What does not fit is said, and the nearest plan that does is made.
 */
final readonly class StationPlan
{
    /** The shortest stay at a station that is worth the walk. */
    private const LEAST_ROTATION_MIN = 4;

    public const CHANGE_OVER_MIN = 1;

    /** A group needs more than the doses alone take: setting up, waiting, a word. More than this is standing about. */
    private const AMPLE_SHARE = 1.5;

    /** Behind a target, and behind the thrower. */
    private const MARGIN_M = 3.0;

    /** Which station goes first when there is no time, no adult or nobody for it. */
    private const GOES_FIRST = [
        BlockKind::GameLike, BlockKind::Target, BlockKind::OtherSide, BlockKind::Part, BlockKind::Rehearsal,
        BlockKind::Whole,
    ];

    /**
     * @param  list<Station>  $stations  those that are open, in the order they are walked
     * @param  list<list<StationAthlete>>  $groups  alike together; group 0 begins at station 0
     * @param  list<list<list<string>>>  $pairs  by group: ids of who works with whom, a three where the number is odd
     * @param  list<list<int>>  $rounds  by round and station: the group that is there
     * @param  list<StationFlag>  $flags
     */
    private function __construct(
        public int $minutes,
        public int $warmUpMin,
        public int $rotationMin,
        public int $coolDownMin,
        public array $stations,
        public array $groups,
        public array $pairs,
        public array $rounds,
        public int $ballsNeeded,
        public array $flags,
    ) {}

    /**
     * @param  list<StationAthlete>  $athletes  who is there
     * @param  list<Station>  $stations  wanted, in the order they are walked
     * @param  int  $minutes  of the whole session
     * @param  int  $adults  who can stand at a station, the coach among them
     */
    public static function make(array $athletes, array $stations, int $minutes, int $adults, int $balls): self
    {
        $flags = [];
        [$warmUpMin, $coolDownMin] = [self::longest($athletes, BlockKind::WarmUp), self::longest($athletes, BlockKind::CoolDown)];
        if ($athletes === []) {
            return new self(
                minutes: $minutes,
                warmUpMin: 0,
                rotationMin: 0,
                coolDownMin: 0,
                stations: [],
                groups: [],
                pairs: [],
                rounds: [],
                ballsNeeded: 0,
                flags: [new StationFlag('nobody')],
            );
        }
        $time = fn (int $n): int => intdiv($minutes - $warmUpMin - $coolDownMin, max(1, $n)) - self::CHANGE_OVER_MIN;
        while (count($stations) > count($athletes)) {
            $stations = self::close($stations, $flags, 'closed_few', count($stations), count($athletes));
        }
        while (count(array_filter($stations, fn (Station $station): bool => $station->needsAdult)) > $adults) {
            $needy = count(array_filter($stations, fn (Station $station): bool => $station->needsAdult));
            $stations = self::close(
                stations: $stations,
                flags: $flags,
                code: 'closed_adults',
                wanted: $needy,
                there: $adults,
                among: fn (Station $station): bool => $station->needsAdult,
            );
        }
        while (count($stations) > 1 && $time(count($stations)) < self::LEAST_ROTATION_MIN) {
            $stations = self::close($stations, $flags, 'closed_time', self::LEAST_ROTATION_MIN, $time(count($stations)));
        }
        $rotationMin = $stations === [] ? 0 : max(0, $time(count($stations)));
        $ample = max(self::LEAST_ROTATION_MIN, (int) ceil(self::AMPLE_SHARE * self::longestStay($athletes, $stations)));
        if ($rotationMin > $ample) {
            $flags[] = new StationFlag('spare', wanted: count($stations) * ($rotationMin - $ample));
            $rotationMin = $ample;
        }
        if ($rotationMin < self::LEAST_ROTATION_MIN) {
            $flags[] = new StationFlag(
                'too_short',
                wanted: $warmUpMin + $coolDownMin + self::LEAST_ROTATION_MIN + self::CHANGE_OVER_MIN,
                there: $minutes,
            );
        }
        $groups = self::groups($athletes, count($stations));
        $ballsNeeded = 0;
        foreach ($stations as $station) {
            $largest = max(
                0,
                ...array_map(
                    fn (array $group): int => count(
                        array_filter($group, fn (StationAthlete $athlete): bool => self::needsBall($athlete->at($station))),
                    ),
                    $groups,
                ),
            );
            $ballsNeeded += $largest * $station->ballsEach;
            $flags = [...$flags, ...self::check($station, $groups, $rotationMin)];
        }
        if ($ballsNeeded > $balls) {
            $flags[] = new StationFlag('balls', wanted: $ballsNeeded, there: $balls);
        }
        $n = count($stations);
        $rounds = [];
        for ($round = 0; $round < $n; $round++) {
            $rounds[] = array_map(fn (int $station): int => (($station - $round) % $n + $n) % $n, range(0, $n - 1));
        }

        return new self(
            minutes: $minutes,
            warmUpMin: $warmUpMin,
            rotationMin: $rotationMin,
            coolDownMin: $coolDownMin,
            stations: $stations,
            groups: $groups,
            pairs: array_map(self::pairs(...), $groups),
            rounds: $rounds,
            ballsNeeded: $ballsNeeded,
            flags: $flags,
        );
    }

    /** @return int minutes from the start at which a round begins */
    public function startsAt(int $round): int
    {
        return $this->warmUpMin + $round * ($this->rotationMin + self::CHANGE_OVER_MIN);
    }

    /** @return int the first round somebody who is late can take part in: after a warm-up of their own */
    public function joinsAt(StationAthlete $athlete): int
    {
        $ready = $athlete->lateMinutes + $this->warmUpMin;
        for ($round = 0; $round < count($this->rounds); $round++) {
            if ($athlete->lateMinutes === 0 || $this->startsAt($round) >= $ready) {
                return $round;
            }
        }

        return count($this->rounds);
    }

    /** @param  list<StationAthlete>  $athletes */
    private static function longest(array $athletes, BlockKind $kind): int
    {
        $seconds = [0];
        foreach ($athletes as $athlete) {
            $seconds[] = array_sum(
                array_map(
                    fn (BlockPlan $block): int => $block->asked->kind === $kind ? SessionClock::blockSeconds($block) : 0,
                    $athlete->blocks,
                ),
            );
        }

        return (int) ceil(max($seconds) / 60);
    }

    /**
     * @param  list<StationAthlete>  $athletes
     * @param  list<Station>  $stations
     * @return int minutes of the longest work anybody has at a station
     */
    private static function longestStay(array $athletes, array $stations): int
    {
        $seconds = [0];
        foreach ($athletes as $athlete) {
            foreach ($stations as $station) {
                $seconds[] = SessionClock::seconds($athlete->at($station));
            }
        }

        return (int) ceil(max($seconds) / 60);
    }

    /**
     * @param  list<Station>  $stations
     * @param  list<StationFlag>  $flags
     * @param  (callable(Station): bool)|null  $among
     * @return list<Station> without the one that goes first
     */
    private static function close(array $stations, array &$flags, string $code, int $wanted, int $there, ?callable $among = null): array
    {
        $rank = fn (Station $station): int => min(
            PHP_INT_MAX,
            ...array_map(fn (BlockKind $kind): int => (int) array_search($kind, array_reverse(self::GOES_FIRST), true), $station->kinds),
        );
        $gone = null;
        foreach ($stations as $i => $station) {
            if (($among === null || $among($station)) && ($gone === null || $rank($station) >= $rank($stations[$gone]))) {
                $gone = $i;
            }
        }
        if ($gone !== null) {
            /** @var 'closed_time'|'closed_adults'|'closed_few' $code */
            $flags[] = new StationFlag($code, $stations[$gone], null, $wanted, $there);
            unset($stations[$gone]);
        }

        return array_values($stations);
    }

    /**
     * Alike together: by ladder, level and reach; groups as even as they go.
     *
     * @param  non-empty-list<StationAthlete>  $athletes
     * @return list<list<StationAthlete>>
     */
    private static function groups(array $athletes, int $n): array
    {
        usort(
            $athletes,
            fn (StationAthlete $a, StationAthlete $b): int => [
                $a->ladder,
                $a->level,
                $a->reachM(),
                $a->name,
            ] <=> [$b->ladder, $b->level, $b->reachM(), $b->name],
        );
        $n = max(1, $n);
        $groups = [];
        $at = 0;
        for ($group = 0; $group < $n; $group++) {
            $size = intdiv(count($athletes), $n) + ($group < count($athletes) % $n ? 1 : 0);
            $groups[] = array_slice($athletes, $at, $size);
            $at += $size;
        }

        return $groups;
    }

    /**
     * Same hand first, so that two face each other throwing down the same line, then the nearest reach.
     *
     * @param  list<StationAthlete>  $group
     * @return list<list<string>>
     */
    private static function pairs(array $group): array
    {
        usort(
            $group,
            fn (StationAthlete $a, StationAthlete $b): int => [
                $a->hand->value,
                $a->reachM(),
                $a->level,
                $a->name,
            ] <=> [$b->hand->value, $b->reachM(), $b->level, $b->name],
        );
        $pairs = array_map(
            fn (array $pair): array => array_map(fn (StationAthlete $athlete): string => $athlete->id, $pair),
            array_chunk($group, 2),
        );
        $last = count($pairs) - 1;
        if ($last > 0 && count($pairs[$last]) === 1) {
            $pairs[$last - 1] = [...$pairs[$last - 1], ...$pairs[$last]];
            unset($pairs[$last]);
        }

        return array_values($pairs);
    }

    /** @param  list<BlockPlan>  $blocks */
    private static function needsBall(array $blocks): bool
    {
        return array_filter($blocks, fn (BlockPlan $block): bool => $block->asked->object->massKg !== null) !== [];
    }

    /**
     * @param  list<list<StationAthlete>>  $groups
     * @return list<StationFlag>
     */
    private static function check(Station $station, array $groups, int $rotationMin): array
    {
        $flags = [];
        $largest = max(0, ...array_map(count(...), $groups));
        if ($largest > $station->capacity) {
            $flags[] = new StationFlag('crowded', $station, null, $largest, $station->capacity);
        }
        $furthest = 0.0;
        $hardBall = $landing = false;
        foreach (array_merge(...$groups) as $athlete) {
            $blocks = $athlete->at($station);
            foreach ($blocks as $block) {
                $furthest = max($furthest, (float) $block->distanceM);
                $hardBall = $hardBall || $block->asked->object->hard;
                $landing = $landing || $block->asked->skill->landingsPerRep > 0;
            }
            $minutes = (int) ceil(SessionClock::seconds($blocks) / 60);
            if ($minutes > $rotationMin && $rotationMin > 0) {
                $flags[] = new StationFlag('too_long', $station, $athlete->name, $minutes, $rotationMin);
            }
        }
        if ($furthest > 0.0 && $furthest + self::MARGIN_M > $station->lengthM) {
            $flags[] = new StationFlag('short_area', $station, null, $furthest + self::MARGIN_M, $station->lengthM);
        }
        if ($hardBall && ! $station->gloves) {
            $flags[] = new StationFlag('gloves', $station);
        }
        if ($landing && ($station->surface === null || $station->surface === Surface::Hard)) {
            $flags[] = new StationFlag('hard_floor', $station);
        }

        return $flags;
    }
}
