<?php

declare(strict_types=1);

namespace App\Courtside\Requests;

use App\Http\Described;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Something by checkpoint. Checkpoints are named by their ids: words that somebody writes in their place are kept nowhere. */
final class ByCheckpoint implements Described, ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        foreach (array_keys((array) $value) as $id) {
            if (preg_match('/^[a-z0-9-]{1,60}$/D', (string) $id) !== 1) {
                $fail('This is no checkpoint.');
            }
        }
    }

    public static function schema(): array
    {
        return ['type' => 'object', 'maxProperties' => 20];
    }
}
