<?php

declare(strict_types=1);

namespace App\Health\Requests;

use App\Health\IncidentKind;
use App\Http\PastInstant;
use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class IncidentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'kind' => ['required', Rule::enum(IncidentKind::class)],
            'at' => ['required', new PastInstant],
            'what' => ['required', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['what.required' => 'Say what happened.'];
    }
}
