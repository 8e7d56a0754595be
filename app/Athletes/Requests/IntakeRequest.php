<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use App\Http\CalendarDay;
use Illuminate\Foundation\Http\FormRequest;

final class IntakeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $past = 'before_or_equal:'.$this->user()->workspace->today()->iso();

        return [
            'version' => ['required', 'integer:strict', 'min:0'],
            'sports' => ['present', 'nullable', 'string', 'max:2000'],
            'past_injuries' => ['present', 'nullable', 'string', 'max:2000'],
            'emergency_contact' => ['present', 'nullable', 'string', 'max:500'],
            'emergency_plan' => ['present', 'nullable', 'string', 'max:2000'],
            'usual_week' => ['present', 'nullable', 'array', 'required_array_keys:arm,landings'],
            'usual_week.arm' => ['required_with:usual_week', 'numeric:strict', 'between:0,2000'],
            'usual_week.landings' => ['required_with:usual_week', 'numeric:strict', 'between:0,2000'],
            'usual_week_signed_by' => ['present', 'nullable', 'required_with:usual_week', 'string', 'max:120'],
            'usual_week_on' => ['present', 'nullable', 'required_with:usual_week', 'bail', new CalendarDay, $past],
            'consent_record_by' => ['present', 'nullable', 'string', 'max:120'],
            'consent_record_on' => ['present', 'nullable', 'required_with:consent_record_by', 'bail', new CalendarDay, $past],
            'consent_film_by' => ['present', 'nullable', 'string', 'max:120'],
            'consent_film_on' => ['present', 'nullable', 'required_with:consent_film_by', 'bail', new CalendarDay, $past],
        ];
    }
}
