<?php

declare(strict_types=1);

namespace Augendo\Core\Gates;

/** Where a newcomer with skill starts: ten judged repetitions a rung, upwards, to the last rung that looked right. */
final readonly class Placing
{
    public const REPS = 10;

    public const LEAST_GOOD = 8;

    /**
     * @param  int|null  $look  position of the rung to look at next; null when the place is found
     * @param  int|null  $place  position of the rung to start at; null while it is being looked for
     */
    private function __construct(public ?int $look, public ?int $place) {}

    /**
     * @param  int  $rungs  how many the ladder has
     * @param  array<int, array{judged: int, good: int, safety: int}>  $seen  by position, from the foot: of the first ten judged
     */
    public static function of(int $rungs, array $seen): self
    {
        for ($at = 0; $at < $rungs; $at++) {
            $rung = $seen[$at] ?? ['judged' => 0, 'good' => 0, 'safety' => 0];
            // A fault that can hurt, or too many faults to come to eight any more, ends the look at once.
            if ($rung['safety'] > 0 || self::REPS - self::LEAST_GOOD < $rung['judged'] - $rung['good']) {
                return new self(null, max(0, $at - 1));
            }
            if ($rung['judged'] < self::REPS) {
                return new self($at, null);
            }
        }

        return new self(null, $rungs - 1);
    }
}
