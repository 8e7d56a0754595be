<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Support\Carbon;

/** A time with its offset that has been; five minutes of a fast clock are forgiven. */
final class PastInstant implements ValidationRule
{
    private const FAST_CLOCK_S = 300;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            $at = Instant::of(is_string($value) ? $value : '');
        } catch (InvalidValue $error) {
            $fail($error->getMessage());

            return;
        }
        if ($at->microseconds > (Carbon::now()->getTimestamp() + self::FAST_CLOCK_S) * 1_000_000) {
            $fail("{$at->text} is in the future. Check the clock of this device.");
        }
    }
}
