<?php

declare(strict_types=1);

namespace Augendo\Core\Stations;

use Augendo\Core\Library\Handedness;

/** Who throws to whom: the same hand first, so that two face each other down one line, then the nearest distance and level. */
final readonly class Pairs
{
    /**
     * @param  list<array{id: string, hand: Handedness, distance_m: float, level: int}>  $members  of one place
     * @return list<list<string>> ids; a three where the number is odd, nobody alone unless there is nobody else
     */
    public static function of(array $members): array
    {
        usort($members, fn (array $a, array $b): int => self::rank($a) <=> self::rank($b));
        $pairs = array_chunk(array_column($members, 'id'), 2);
        $last = count($pairs) - 1;
        if ($last > 0 && count($pairs[$last]) === 1) {
            $pairs[$last - 1] = [...$pairs[$last - 1], ...$pairs[$last]];
            unset($pairs[$last]);
        }

        return array_values($pairs);
    }

    /**
     * @param  array{id: string, hand: Handedness, distance_m: float, level: int}  $member
     * @return list<string|float|int>
     */
    private static function rank(array $member): array
    {
        return [$member['hand']->value, $member['distance_m'], $member['level'], $member['id']];
    }
}
