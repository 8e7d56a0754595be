<?php

declare(strict_types=1);

namespace Augendo\Core\Courtside;

use Augendo\Core\InvalidValue;

/**
 * How many repetitions of a block there are, entered after the fact: as a sum, or put right. Taps stay as they are; what is missing is
 * added as repetitions nobody judged, or, ticked as judged, with so many good ones; what is too much is withdrawn, the last first.
 */
final readonly class CountChange
{
    /** More than anybody does of one block in a day. */
    public const MOST_REPS = 500;

    /** Letters of a reason for fewer than were counted: a word at least. */
    public const REASON_AT_LEAST = 3;

    /** So many days a correction that gives room stands where the coach sees it. */
    public const SHOWN_DAYS = 7;

    /** So many days back a session may be entered late. */
    public const LATE_DAYS = 60;

    /**
     * @param  int  $before  repetitions that stand
     * @param  int  $after  repetitions there were
     * @param  list<string>  $withdraw  ids of the repetitions that go
     * @param  int|null  $good  of those added; null: nobody judged them
     */
    private function __construct(public int $before, public int $after, public array $withdraw, public ?int $good) {}

    /**
     * @param  list<Tap>  $standing  repetitions of the block that stand, in order of time
     * @param  int|null  $good  of the repetitions of a block that was judged on paper, not counted before
     *
     * @throws InvalidValue
     */
    public static function of(array $standing, int $after, ?int $good = null): self
    {
        if ($good !== null && ($good < 0 || $good > $after)) {
            throw new InvalidValue("Of {$after} repetitions none to all were good, not {$good}.");
        }
        if ($good !== null && $standing !== []) {
            throw new InvalidValue('These were counted already, with their verdicts: how many were good is not told afterwards.');
        }
        if ($after < 0 || $after > self::MOST_REPS) {
            throw new InvalidValue('Repetitions lie between 0 and '.self::MOST_REPS.", not {$after}.");
        }
        $surplus = max(0, count($standing) - $after);
        $last = $surplus === 0 ? [] : array_slice($standing, -$surplus);

        return new self(count($standing), $after, array_map(fn (Tap $rep): string => $rep->id, array_reverse($last)), $good);
    }

    public function added(): int
    {
        return max(0, $this->after - $this->before);
    }

    /**
     * Of those added, each good or not; null: nobody judged it. In which order they came nobody knows: those that were not good lie as
     * far apart as they can, so that no more good ones stand in a row than there must have been.
     *
     * @return list<bool|null>
     */
    public function verdicts(): array
    {
        $added = $this->added();
        if ($this->good === null || $added === 0) {
            return array_fill(0, $added, null);
        }
        $rows = $added - $this->good + 1;
        $rowOf = fn (int $place): int => intdiv($place * $rows, $added + 1);

        return array_map(fn (int $place): bool => $rowOf($place + 1) === $rowOf($place), range(0, $added - 1));
    }

    public function isNothing(): bool
    {
        return $this->after === $this->before;
    }

    /** Fewer than were counted: load goes, and there is more room today. That needs a reason. */
    public function lowers(): bool
    {
        return $this->after < $this->before;
    }
}
