<?php

declare(strict_types=1);

namespace App\Courtside\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class FinishRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'minutes' => ['nullable', 'integer:strict', 'between:1,600'],
            'session_rpe' => ['nullable', 'integer:strict', 'between:0,10'],
        ];
    }
}
