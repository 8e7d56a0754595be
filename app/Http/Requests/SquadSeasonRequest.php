<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class SquadSeasonRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'goal_on' => ['required', 'date_format:Y-m-d', 'before:'.$this->user()->workspace->today()->plus(366)->iso()],
            'weekdays' => ['present', 'array', 'max:7'],
            'weekdays.*' => ['integer', 'between:1,7'],
            'minutes' => ['present', 'nullable', 'integer', 'between:1,240'],
            'rungs_up' => ['required', 'integer', 'between:0,20'],
        ];
    }
}
