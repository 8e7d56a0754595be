<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class HeightRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'measured_on' => ['required', 'date_format:Y-m-d', 'before_or_equal:'.$this->user()->workspace->today()->iso()],
            'height_cm' => ['required', 'numeric', 'between:60,230'],
        ];
    }
}
