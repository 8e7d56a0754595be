<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use Augendo\Core\Load\Surface;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What the session lands on; null is not known, and counts as the hardest. */
final class FloorRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['floor' => ['present', 'nullable', Rule::enum(Surface::class)]];
    }

    public function floor(): ?string
    {
        return $this->validated('floor');
    }
}
