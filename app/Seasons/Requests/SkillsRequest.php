<?php

declare(strict_types=1);

namespace App\Seasons\Requests;

use App\Http\CalendarDay;
use App\Library\KnownLadder;
use Augendo\Core\Planning\AllSkills;
use Illuminate\Foundation\Http\FormRequest;

/** All skills of an athlete, in the coach's order. */
final class SkillsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'evenly' => ['required', 'boolean:strict'],
            'skills' => ['required', 'array', 'min:1', 'max:'.AllSkills::MOST],
            'skills.*.ladder' => ['required', 'string', 'distinct', new KnownLadder($this->user()->workspace_id)],
            'skills.*.version' => ['present', 'nullable', 'integer:strict'],
            'skills.*.goal_rung' => ['present', 'nullable', 'string', 'max:80'],
            'skills.*.goal_on' => [
                'required', 'bail', new CalendarDay, 'before:'.$this->user()->workspace->today()->plus(366)->iso(),
            ],
            'skills.*.weekdays' => ['required', 'array', 'min:1', 'max:7'],
            'skills.*.weekdays.*' => ['integer:strict', 'between:1,7'],
            'skills.*.minutes' => ['present', 'nullable', 'integer:strict', 'between:1,240'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'skills.min' => 'Choose at least one skill.',
            'skills.max' => 'At most '.AllSkills::MOST.' skills are planned together.',
            'skills.*.weekdays.required' => 'Choose at least one training day for each skill.',
            'skills.*.weekdays.min' => 'Choose at least one training day for each skill.',
            'skills.*.minutes.between' => 'A session takes 1 to 240 minutes.',
            'skills.*.goal_on.before' => 'A season ends within a year.',
        ];
    }
}
