<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;

/** A day that is not before another one that was given. Where the other is no day, that is said of the other alone. */
final class NotBefore implements DataAwareRule, ValidationRule
{
    /** @var array<string, mixed> */
    private array $data = [];

    public function __construct(private readonly string $other, private readonly string $why) {}

    /** @param  array<string, mixed>  $data */
    public function setData(array $data): static
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $other = $this->data[$this->other] ?? null;
        // Written YYYY-MM-DD, the earlier day sorts first.
        if (is_string($value) && is_string($other) && strcmp($value, $other) < 0) {
            $fail($this->why);
        }
    }
}
