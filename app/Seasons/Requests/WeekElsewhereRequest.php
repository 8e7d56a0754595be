<?php

declare(strict_types=1);

namespace App\Seasons\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use App\Seasons\WeekElsewhere;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Felt;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What was done elsewhere in the week that is asked for: as usual, nothing, or what. */
final class WeekElsewhereRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'week' => ['required', 'bail', new CalendarDay],
            'answer' => ['required', Rule::in(WeekElsewhere::ANSWERS)],
            'entries' => ['present', 'array', 'list', 'max:12', 'required_if:answer,other', 'prohibited_unless:answer,other'],
            'entries.*.id' => ['required', new UuidV7],
            'entries.*.day' => ['required', 'bail', new CalendarDay],
            'entries.*.skill' => ['required', Rule::in(array_keys(app(Library::class)->skills()))],
            'entries.*.reps' => ['required', 'integer:strict', 'between:1,1000'],
            'entries.*.felt' => ['present', 'nullable', Rule::enum(Felt::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'entries.required_if' => 'Say what it was, or that it was nothing.',
            'entries.*.reps.between' => 'Repetitions lie between 1 and 1000.',
        ];
    }
}
