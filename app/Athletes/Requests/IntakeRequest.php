<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use App\Http\CalendarDay;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Felt;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

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
            'usual_work' => ['present', 'nullable', 'array', 'list', 'max:12'],
            'usual_work.*.skill' => ['required', Rule::in(array_keys(app(Library::class)->skills()))],
            'usual_work.*.reps' => ['required', 'integer:strict', 'between:1,3000'],
            'usual_work.*.felt' => ['present', 'nullable', Rule::enum(Felt::class)],
            'usual_week_signed_by' => ['present', 'nullable', 'required_with:usual_work.0', 'string', 'max:120'],
            'usual_week_on' => ['present', 'nullable', 'required_with:usual_work.0', 'bail', new CalendarDay, $past],
            'consent_record_by' => ['present', 'nullable', 'string', 'max:120'],
            'consent_record_on' => ['present', 'nullable', 'required_with:consent_record_by', 'bail', new CalendarDay, $past],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'usual_work.*.reps.between' => 'How many a week, from 1 to 3000.',
            'usual_week_signed_by.required_with' => 'Say who signs for the usual week.',
            'usual_week_on.required_with' => 'Say when it was signed.',
        ];
    }
}
