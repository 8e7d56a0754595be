<?php

declare(strict_types=1);

namespace App\Gates\Requests;

use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class DecisionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'ladder' => ['required', 'string'],
            'rung' => ['required', 'string'],
            'action' => ['required', Rule::in(['advance', 'repeat', 'step_back', 'pause', 'match_ready'])],
            'reason' => ['nullable', 'string', 'max:1000'],
        ];
    }
}
