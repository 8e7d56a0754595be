<?php

declare(strict_types=1);

namespace Augendo\Core\Mechanics;

/** The fault most of a squad had in one session: what the next one begins with. */
final readonly class SharedFault
{
    /** Once can happen to anybody. */
    private const LEAST_TIMES = 2;

    private const LEAST_ATHLETES = 2;

    /**
     * @param  non-empty-list<string>  $who  ids of the athletes, those first who had it most often
     * @param  int  $times  of all of them together
     */
    private function __construct(public string $fault, public array $who, public int $times) {}

    /**
     * @param  array<string, array<string, int>>  $seen  by athlete: how often each fault was seen
     * @return self|null null: no fault was seen twice in two of them
     */
    public static function of(array $seen): ?self
    {
        $best = null;
        $faults = array_unique(array_merge([], ...array_map(array_keys(...), array_values($seen))));
        foreach ($faults as $fault) {
            $times = array_filter(
                array_map(fn (array $of): int => $of[$fault] ?? 0, $seen),
                fn (int $n): bool => $n >= self::LEAST_TIMES,
            );
            if (count($times) < self::LEAST_ATHLETES) {
                continue;
            }
            arsort($times);
            if ($best === null || [count($times), array_sum($times)] > [count($best->who), $best->times]) {
                $best = new self((string) $fault, array_map(strval(...), array_keys($times)), array_sum($times));
            }
        }

        return $best;
    }
}
