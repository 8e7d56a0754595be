<?php

declare(strict_types=1);

namespace App\Http;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A day that exists, written YYYY-MM-DD, within the years that anybody alive trains in. Put `bail` before it: the rules
 * after it read days.
 */
final class CalendarDay implements Described, ValidationRule
{
    public const YEARS = [1900, 2200];

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            Day::of(is_string($value) ? $value : '');
        } catch (InvalidValue $error) {
            $fail(is_string($value) ? $error->getMessage() : 'Write a day as YYYY-MM-DD.');

            return;
        }
        if (! self::isInRange((int) substr($value, 0, 4))) {
            $fail('The year lies between 1900 and 2200.');
        }
    }

    public static function isInRange(int $year): bool
    {
        return $year >= self::YEARS[0] && $year <= self::YEARS[1];
    }

    public static function schema(): array
    {
        return ['type' => 'string', 'format' => 'date'];
    }
}
