<?php

declare(strict_types=1);

namespace App\Health\Requests;

use App\Health\AbsenceKind;
use App\Http\CalendarDay;
use App\Http\NotBefore;
use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class AbsenceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'kind' => ['required', Rule::enum(AbsenceKind::class)],
            'fever' => ['required', 'boolean:strict'],
            'from_day' => ['required', 'bail', new CalendarDay, 'after_or_equal:'.$this->user()->workspace->today()->plus(-60)->iso()],
            'until_day' => ['required', 'bail', new CalendarDay, new NotBefore('from_day', 'It ends before it begins.')],
            'note' => ['present', 'nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'from_day.after_or_equal' => 'That is more than 60 days ago: choose a later day.',
        ];
    }
}
