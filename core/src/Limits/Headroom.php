<?php

declare(strict_types=1);

namespace Augendo\Core\Limits;

final readonly class Headroom
{
    /** Beyond this many repetitions no limit is said to bind. */
    private const MOST_REPS = 10_000;

    /** More than any session holds: a figure above it would be read as a target. */
    private const PLENTY_REPS = 300;

    /**
     * @param  int|null  $reps  repetitions that still fit; null when no limit binds
     * @param  list<Limit>  $binding  hard limits that are over at one more
     */
    public function __construct(public ?int $reps, public array $binding) {}

    /**
     * The largest number of repetitions that breaks nothing. More repetitions never mend a limit, so it is found by halving.
     *
     * @param  callable(int): list<LimitState>  $over  the hard limits that so many break
     */
    public static function largest(callable $over): self
    {
        if ($over(self::MOST_REPS) === []) {
            return new self(null, []);
        }
        [$fits, $breaks] = [0, self::MOST_REPS];
        while ($breaks - $fits > 1) {
            $middle = intdiv($fits + $breaks, 2);
            if ($over($middle) === []) {
                $fits = $middle;
            } else {
                $breaks = $middle;
            }
        }

        return new self($fits, array_map(fn (LimitState $state): Limit => $state->limit, $over($breaks)));
    }

    /** Whether there is room for more than any session holds; where no limit counts the work, nobody can say. */
    public function isPlenty(): bool
    {
        return $this->reps !== null && $this->reps > self::PLENTY_REPS;
    }
}
