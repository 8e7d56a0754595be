<?php

declare(strict_types=1);

namespace App\Health\Requests;

use App\Http\CalendarDay;
use Illuminate\Foundation\Http\FormRequest;

final class EndAbsenceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'last_day' => ['required', 'bail', new CalendarDay],
        ];
    }
}
