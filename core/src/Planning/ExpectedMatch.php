<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

/** What one athlete is expected to do in a match: what the last ones took. */
final class ExpectedMatch
{
    private const LAST_MATCHES = 3;

    /**
     * The mean of the last matches, rounded up; a skill the match is declared with and none of them shows counts as declared.
     *
     * @param  list<array<string, int>>  $last  repetitions by skill of each match played, the latest first
     * @param  array<string, int>  $declared  repetitions by skill
     * @return array<string, int> repetitions by skill, none below 1
     */
    public static function of(array $last, array $declared): array
    {
        $last = array_slice($last, 0, self::LAST_MATCHES);
        if ($last === []) {
            return $declared;
        }
        $expected = [];
        foreach ($last as $match) {
            foreach ($match as $skill => $reps) {
                $expected[$skill] = ($expected[$skill] ?? 0) + $reps;
            }
        }
        $mean = array_map(fn (int $sum): int => (int) ceil($sum / count($last)), $expected);

        return array_filter([...$declared, ...$mean], fn (int $reps): bool => $reps > 0);
    }
}
