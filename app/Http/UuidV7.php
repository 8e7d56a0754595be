<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** An id made where the record is made: version 7, so that it sorts by time. */
final class UuidV7 implements Described, ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || preg_match('/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/D', $value) !== 1) {
            $fail('The id is not a UUID of version 7.');
        }
    }

    public static function schema(): array
    {
        return ['type' => 'string', 'format' => 'uuid'];
    }
}
