<?php

declare(strict_types=1);

namespace Augendo\Core\Courtside;

use Augendo\Core\InvalidValue;

/**
 * How many repetitions of a block there are, entered after the fact: as a sum, or put right. Taps stay as they are; what is missing is
 * added as repetitions nobody judged, what is too much is withdrawn, the last first.
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
     */
    private function __construct(public int $before, public int $after, public array $withdraw) {}

    /**
     * @param  list<Tap>  $standing  repetitions of the block that stand, in order of time
     *
     * @throws InvalidValue
     */
    public static function of(array $standing, int $after): self
    {
        if ($after < 0 || $after > self::MOST_REPS) {
            throw new InvalidValue('Repetitions lie between 0 and '.self::MOST_REPS.", not {$after}.");
        }
        $surplus = max(0, count($standing) - $after);
        $last = $surplus === 0 ? [] : array_slice($standing, -$surplus);

        return new self(count($standing), $after, array_map(fn (Tap $rep): string => $rep->id, array_reverse($last)));
    }

    public function added(): int
    {
        return max(0, $this->after - $this->before);
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
