<?php

declare(strict_types=1);

namespace App\Courtside\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class FinishTogetherRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'minutes' => ['present', 'nullable', 'integer:strict', 'between:1,600'],
            'session_rpe' => ['present', 'nullable', 'integer:strict', 'between:0,10'],
            'differs' => ['present', 'array', 'max:200'],
            'differs.*.sheet_id' => ['required', 'uuid', 'distinct'],
            'differs.*.minutes' => ['present', 'nullable', 'integer:strict', 'between:1,600'],
            'differs.*.session_rpe' => ['present', 'nullable', 'integer:strict', 'between:0,10'],
        ];
    }
}
