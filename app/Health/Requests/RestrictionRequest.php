<?php

declare(strict_types=1);

namespace App\Health\Requests;

use App\Http\CalendarDay;
use App\Http\NotBefore;
use App\Http\UuidV7;
use Augendo\Core\Limits\Covers;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class RestrictionRequest extends FormRequest
{
    private const BACKWARDS = 'It ends before it begins.';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'covers' => ['required', Rule::enum(Covers::class)],
            'from_day' => ['required', 'bail', new CalendarDay, 'after_or_equal:'.$this->user()->workspace->today()->iso()],
            // null: some may be done at once
            'none_until' => ['present', 'nullable', 'bail', new CalendarDay, new NotBefore('from_day', self::BACKWARDS)],
            'until_day' => [
                'required', 'bail', new CalendarDay,
                new NotBefore('from_day', self::BACKWARDS),
                new NotBefore('none_until', self::BACKWARDS),
            ],
            'effort_max' => ['present', 'nullable', 'numeric:strict', 'between:0.1,1'],
            'reps_a_day' => ['present', 'nullable', 'integer:strict', 'between:1,500'],
            'clinician_name' => ['required', 'string', 'max:120'],
            'note' => ['present', 'nullable', 'string', 'max:500'],
        ];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [function ($validator): void {
            $given = $validator->getData();
            $eases = ($given['effort_max'] ?? null) !== null || ($given['reps_a_day'] ?? null) !== null;
            if (! $eases && ($given['none_until'] ?? null) !== ($given['until_day'] ?? null)) {
                $validator->errors()->add('effort_max', 'Say what may be done then: the most effort, the most a day, or both.');
            }
        }];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'from_day.after_or_equal' => 'A restriction begins today or later.',
            'clinician_name.required' => 'A restriction needs the clinician’s name.',
        ];
    }
}
