<?php

declare(strict_types=1);

namespace Augendo\Core\Load;

/** The record up to the evening of a day: carried averages, and sets that are fetched only when something asks for a day of them. */
final class EarlierRecord
{
    /** @var list<CostedSet>|null */
    private ?array $sets = null;

    /** @param  \Closure(): list<CostedSet>  $fetch  every set of it */
    public function __construct(public readonly CarriedWork $carried, private readonly \Closure $fetch) {}

    /** @return list<CostedSet> */
    public function sets(): array
    {
        return $this->sets ??= ($this->fetch)();
    }

    public function throughDay(): int
    {
        return $this->carried->throughDay;
    }

    /** @param  callable(CostedSet): bool  $fits  looks at the kind of work, never at its cost */
    public function series(string $measure, callable $fits): EarlierSeries
    {
        return new EarlierSeries(
            $this->carried->throughDay,
            self::sum($this->carried->acute, $measure, $fits),
            self::sum($this->carried->chronic, $measure, $fits),
            function () use ($measure, $fits): array {
                $byDay = [];
                foreach ($this->sets() as $set) {
                    if ($set->cost[$measure] !== 0.0 && $fits($set)) {
                        $byDay[$set->day] = ($byDay[$set->day] ?? 0.0) + $set->cost[$measure];
                    }
                }

                return $byDay;
            },
        );
    }

    /**
     * @param  list<CostedSet>  $kinds
     * @param  callable(CostedSet): bool  $fits
     */
    private static function sum(array $kinds, string $measure, callable $fits): float
    {
        $sum = 0.0;
        foreach ($kinds as $kind) {
            $sum += $fits($kind) ? $kind->cost[$measure] : 0.0;
        }

        return $sum;
    }
}
