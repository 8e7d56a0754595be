<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

use Augendo\Core\Mechanics\JudgedRep;

/** Where a newcomer with skill starts: ten judged repetitions a rung, upwards, to the last rung that looked right. */
final readonly class Placing
{
    public const REPS = 10;

    public const LEAST_GOOD = 8;

    /**
     * @param  int|null  $look  position of the rung to look at next; null when the place is found
     * @param  int|null  $place  position of the rung to start at; null while it is being looked for
     * @param  list<array{judged: int, good: int, safety: int}>  $seen  by position, up to where the look ended: the
     *         first ten judged repetitions of each
     */
    private function __construct(public ?int $look, public ?int $place, public array $seen) {}

    /**
     * @param  int  $rungs  how many the ladder has
     * @param  array<int, list<JudgedRep>>  $reps  by position, from the foot, in the order they were done
     */
    public static function of(int $rungs, array $reps): self
    {
        $seen = [];
        for ($at = 0; $at < $rungs; $at++) {
            $seen[] = $rung = self::firstTen($reps[$at] ?? []);
            // A fault that can hurt, or too many faults to come to eight any more, ends the look at once.
            if ($rung['safety'] > 0 || self::REPS - self::LEAST_GOOD < $rung['judged'] - $rung['good']) {
                return new self(null, max(0, $at - 1), $seen);
            }
            if ($rung['judged'] < self::REPS) {
                return new self($at, null, $seen);
            }
        }

        return new self(null, $rungs - 1, $seen);
    }

    /**
     * @param  list<JudgedRep>  $reps
     * @return array{judged: int, good: int, safety: int} up to the tenth that was observed; a fault that can hurt counts, observed or not
     */
    private static function firstTen(array $reps): array
    {
        $seen = ['judged' => 0, 'good' => 0, 'safety' => 0];
        foreach ($reps as $rep) {
            if ($seen['judged'] === self::REPS) {
                break;
            }
            $seen['judged'] += $rep->good === null ? 0 : 1;
            $seen['good'] += $rep->good === true ? 1 : 0;
            $seen['safety'] += $rep->safety ? 1 : 0;
        }

        return $seen;
    }
}
