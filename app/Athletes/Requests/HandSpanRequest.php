<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;

/** The throwing hand, spread, from the thumb to the little finger. */
final class HandSpanRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'measured_on' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
            'span_cm' => ['required', 'numeric:strict', 'between:8,30'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['span_cm.between' => 'A hand spans 8 to 30 cm, from the thumb to the little finger.'];
    }
}
