<?php

declare(strict_types=1);

namespace App\Seasons\Requests;

use App\Http\CalendarDay;
use Illuminate\Foundation\Http\FormRequest;

final class SquadSeasonRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'goal_on' => ['required', 'bail', new CalendarDay, 'before:'.$this->user()->workspace->today()->plus(366)->iso()],
            'weekdays' => ['present', 'array', 'max:7'],
            'weekdays.*' => ['integer:strict', 'between:1,7'],
            'minutes' => ['present', 'nullable', 'integer:strict', 'between:1,240'],
            'rungs_up' => ['required', 'integer:strict', 'between:0,20'],
        ];
    }
}
