<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;

final class HeightRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'measured_on' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
            'height_cm' => ['required', 'numeric:strict', 'between:60,230'],
        ];
    }
}
