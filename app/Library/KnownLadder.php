<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Described;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A ladder the club can climb: one that ships, or one of its own. */
final class KnownLadder implements Described, ValidationRule
{
    /** @var list<string>|null */
    private ?array $ids = null;

    public function __construct(private readonly int $workspaceId) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $this->ids ??= app(Ladders::class)->ids($this->workspaceId);
        if (! in_array($value, $this->ids, true)) {
            $fail('There is no such ladder.');
        }
    }

    public static function schema(): array
    {
        return ['type' => 'string'];
    }
}
