<?php

declare(strict_types=1);

namespace App\Http;

use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Support\Carbon;

/** A time with its offset that has been; five minutes of a fast clock are forgiven. */
final class PastInstant implements Described, ValidationRule
{
    private const FAST_CLOCK_S = 300;

    /** No place on Earth is further ahead. */
    private const MOST_OFFSET_MIN = 14 * 60;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            $at = Instant::of(is_string($value) ? $value : '');
        } catch (InvalidValue $error) {
            $fail($error->getMessage());

            return;
        }
        $offset = preg_match('/[+-](\d{2}):?(\d{2})$/D', $at->text, $part) === 1 ? 60 * (int) $part[1] + (int) $part[2] : 0;
        if ($offset > self::MOST_OFFSET_MIN || ! CalendarDay::isInRange((int) substr($at->text, 0, 4))) {
            $fail("“{$at->text}” is no time of anywhere: offsets go to 14 hours, years from 1900 to 2200.");
        } elseif ($at->microseconds > (Carbon::now()->getTimestamp() + self::FAST_CLOCK_S) * 1_000_000) {
            $fail("{$at->text} is in the future. Check the clock of this device.");
        }
    }

    public static function schema(): array
    {
        return ['type' => 'string', 'format' => 'date-time'];
    }
}
