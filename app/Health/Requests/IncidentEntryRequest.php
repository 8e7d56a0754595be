<?php

declare(strict_types=1);

namespace App\Health\Requests;

use App\Http\PastInstant;
use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class IncidentEntryRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'kind' => ['required', Rule::in(['done', 'told', 'seen'])],
            'at' => ['required', new PastInstant],
            'who' => ['present', 'nullable', 'required_unless:kind,done', 'string', 'max:120'],
            'text' => ['required', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['who.required_unless' => 'Say who.', 'text.required' => 'Say what was done, or what was said.'];
    }
}
