<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use App\Http\CalendarDay;
use Illuminate\Foundation\Http\FormRequest;

final class RetireRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        // The last day with the club.
        return ['day' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['day.before_or_equal' => 'Choose today or an earlier day: until then there is training.'];
    }
}
