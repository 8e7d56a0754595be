<?php

declare(strict_types=1);

namespace App\Seasons\Requests;

use App\Http\CalendarDay;
use App\Library\KnownLadder;
use Illuminate\Foundation\Http\FormRequest;

final class SeasonRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $day = ['bail', new CalendarDay, 'before:'.$this->user()->workspace->today()->plus(366)->iso()];

        return [
            'version' => ['nullable', 'integer:strict'],
            'ladder' => [
                $this->route('season') === null ? 'required' : 'nullable',
                'string',
                new KnownLadder($this->user()->workspace_id),
            ],
            'goal_rung' => ['present', 'nullable', 'string', 'max:80'],
            'goal_on' => ['required', ...$day],
            'weekdays' => ['present', 'array', 'max:7'],
            'weekdays.*' => ['integer:strict', 'between:1,7'],
            'minutes' => ['present', 'nullable', 'integer:strict', 'between:1,240'],
            'moves' => ['present', 'array', 'max:60'],
            'moves.*.from' => ['required', ...$day],
            'moves.*.to' => ['required', ...$day],
            'off' => ['present', 'array', 'max:200'],
            'off.*' => $day,
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['minutes.between' => 'A session takes 1 to 240 minutes.', 'goal_on.before' => 'A season ends within a year.'];
    }

    /** @return array<string, mixed> with the moves by the day they are from */
    public function season(): array
    {
        $given = $this->validated();

        return [
            ...$given,
            'weekdays' => array_map(intval(...), $given['weekdays']),
            'moves' => array_column($given['moves'], 'to', 'from'),
            'version' => $this->integer('version'),
        ];
    }
}
