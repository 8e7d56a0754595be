<?php

declare(strict_types=1);

namespace Augendo\Core;

/**
 * A point in time written with its offset. Its day is the date as written, because that is the day the athlete lived.
 */
final readonly class Instant
{
    private function __construct(
        public string $text,
        public Day $day,
        /** Microseconds since 1970-01-01T00:00:00Z. */
        public int $microseconds,
    ) {}

    /** @throws InvalidValue when the text is not ISO 8601 with an offset */
    public static function of(string $text): self
    {
        $pattern = '/^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):([0-5]\d)(?::([0-5]\d)(?:[.,](\d{1,6})\d*)?)?(Z|[+-]\d{2}:?\d{2})$/D';
        if (preg_match($pattern, $text, $part) !== 1) {
            throw new InvalidValue("“{$text}” is not a time; write it as 2027-05-20T17:00:00+02:00.");
        }
        $day = Day::of($part[1]);
        $offset = 0;
        if ($part[6] !== 'Z') {
            $digits = str_replace(':', '', substr($part[6], 1));
            $offset = ((int) substr($digits, 0, 2) * 3600 + (int) substr($digits, 2) * 60) * ($part[6][0] === '-' ? -1 : 1);
        }
        $seconds = $day->ordinal * 86400 + (int) $part[2] * 3600 + (int) $part[3] * 60 + (int) $part[4] - $offset;

        return new self($text, $day, $seconds * 1_000_000 + (int) str_pad($part[5], 6, '0'));
    }

    public function isAfter(self $other): bool
    {
        return $this->microseconds > $other->microseconds;
    }
}
