<?php

declare(strict_types=1);

namespace App\Seasons\Requests;

use App\Http\CalendarDay;
use App\Library\KnownLadder;
use Augendo\Core\Planning\SuggestionKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

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
            'tests' => ['sometimes', 'boolean:strict'],
            'heeded' => ['sometimes', 'array:units,reps,effort_less,left'],
            'heeded.units' => ['nullable', 'numeric', 'between:1,1000'],
            'heeded.reps' => ['nullable', 'integer:strict', 'between:1,500'],
            'heeded.effort_less' => ['sometimes', 'numeric', 'between:0,0.5'],
            'heeded.left' => ['sometimes', 'array', 'max:3'],
            'heeded.left.*' => ['string', Rule::enum(SuggestionKind::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'minutes.between' => 'A session takes 1 to 240 minutes.',
            'goal_on.before' => 'A season ends within a year.',
            'heeded.units.between' => 'A session costs 1 to 1,000 units.',
            'heeded.reps.between' => 'A session has 1 to 500 repetitions of the rung.',
            'heeded.effort_less.between' => 'At most 50 points of effort are taken off.',
        ];
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
