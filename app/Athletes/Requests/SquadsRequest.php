<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class SquadsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'squads' => ['required', 'array', 'list', 'between:1,20'],
            'squads.*' => ['required', 'integer:strict', 'distinct'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['squads.required' => 'Choose at least one squad. Whoever trains with none any more retires.'];
    }
}
