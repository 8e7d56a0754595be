<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class CallOffRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'scope' => ['required', Rule::in(['one', 'after'])],
            // Why, as those who come to the hall should read it; null: it was planned by mistake, and goes out of sight.
            'reason' => ['present', 'nullable', 'string', 'max:200'],
        ];
    }
}
