<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;

/** One thing planned for an athlete's day that needs room in the limits. */
final readonly class Claim
{
    /**
     * @param  string  $session  what its work is kept under
     * @param  string  $startsAt  HH:MM
     * @param  string  $title  for people
     * @param  bool  $isFixed  running, set by hand, or held elsewhere: nobody fits it anew, so it gives way to nothing
     */
    public function __construct(
        public ClaimKind $kind,
        public Day $day,
        public string $startsAt,
        public string $session,
        public string $title,
        public bool $isFixed,
    ) {}

    /**
     * The kinds give way in their order, on whatever day: what is planned for one day can take the room of another. Of two of a kind on
     * one day the later one gives way; on two days each keeps what it has.
     */
    public function givesWayTo(self $other): bool
    {
        if ($this->isFixed || $this->session === $other->session) {
            return false;
        }
        if ($this->kind !== $other->kind) {
            return $this->kind->order() > $other->kind->order();
        }

        return $this->day->equals($other->day) && [$this->startsAt, $this->session] > [$other->startsAt, $other->session];
    }

    /**
     * @param  list<self>  $claims
     * @return list<string> the sessions of those that give way to this
     */
    public function thatGiveWay(array $claims): array
    {
        return array_values(array_map(
            fn (self $other): string => $other->session,
            array_filter($claims, fn (self $other): bool => $other->givesWayTo($this)),
        ));
    }

    /**
     * @param  list<self>  $claims
     * @return list<self> those of the same day that come before this
     */
    public function comesAfter(array $claims): array
    {
        return array_values(array_filter(
            $claims,
            fn (self $other): bool => $other->day->equals($this->day) && $this->givesWayTo($other),
        ));
    }

    /** In which order they are fitted: whatever holds its room first, then day after day, hour after hour. */
    public static function inOrder(self $a, self $b): int
    {
        return [$a->kind->order(), $a->day->ordinal, $a->startsAt, $a->session]
            <=> [$b->kind->order(), $b->day->ordinal, $b->startsAt, $b->session];
    }
}
