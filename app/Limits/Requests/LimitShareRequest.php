<?php

declare(strict_types=1);

namespace App\Limits\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** How much of a limit one athlete has: 1 is all of it. */
final class LimitShareRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'limit_id' => ['required', 'string'],
            'share' => ['required', 'numeric:strict', 'between:0,2'],
            'reason' => ['present', 'nullable', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['share.between' => 'A share lies between 0 and 200 %.'];
    }
}
