<?php

declare(strict_types=1);

namespace App\Returns\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;

final class ReturnMeasureRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'criterion' => ['required', 'string', 'max:60'],
            'injured' => ['required', 'numeric:strict', 'gt:0', 'max:10000'],
            'sound' => ['required', 'numeric:strict', 'gt:0', 'max:10000'],
            'measured_by' => ['required', 'string', 'max:120'],
            'measured_on' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
        ];
    }
}
