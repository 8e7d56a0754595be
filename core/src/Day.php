<?php

declare(strict_types=1);

namespace Augendo\Core;

/**
 * A calendar day as the athlete lives it: no time, no zone. Held as a count of days so that windows are integer arithmetic.
 */
final readonly class Day
{
    private function __construct(
        /** Days since 1970-01-01. */
        public int $ordinal,
    ) {}

    /** @throws InvalidValue when the text is not an existing day written YYYY-MM-DD */
    public static function of(string $iso): self
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $iso, $part) !== 1
            || ! checkdate((int) $part[2], (int) $part[3], (int) $part[1])) {
            throw new InvalidValue("“{$iso}” is not a day; write it as YYYY-MM-DD.");
        }

        return new self(intdiv((int) gmmktime(0, 0, 0, (int) $part[2], (int) $part[3], (int) $part[1]), 86400));
    }

    public static function fromOrdinal(int $ordinal): self
    {
        return new self($ordinal);
    }

    public function plus(int $days): self
    {
        return new self($this->ordinal + $days);
    }

    /** Whole days from $other to this day; negative when this day is earlier. */
    public function daysSince(self $other): int
    {
        return $this->ordinal - $other->ordinal;
    }

    public function isAfter(self $other): bool
    {
        return $this->ordinal > $other->ordinal;
    }

    public function latest(self $other): self
    {
        return $other->ordinal > $this->ordinal ? $other : $this;
    }

    public function equals(self $other): bool
    {
        return $this->ordinal === $other->ordinal;
    }

    public function iso(): string
    {
        return gmdate('Y-m-d', $this->ordinal * 86400);
    }

    /** Age in whole years on this day; a birthday on 29 February is 1 March in common years. */
    public function ageOf(self $birth): int
    {
        [$year, $month, $day] = array_map(intval(...), explode('-', $this->iso()));
        [$birthYear, $birthMonth, $birthDay] = array_map(intval(...), explode('-', $birth->iso()));

        // Comparing (month, day) makes 28 February fall before a 29 February birthday and 1 March after it.
        return $year - $birthYear - (($month <=> $birthMonth ?: $day <=> $birthDay) < 0 ? 1 : 0);
    }
}
