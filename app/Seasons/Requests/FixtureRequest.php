<?php

declare(strict_types=1);

namespace App\Seasons\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use App\Seasons\Fixture;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Felt;
use Augendo\Core\Planning\Silence;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class FixtureRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $today = $this->user()->workspace->today();
        $isOver = is_string($this->input('day')) && $this->input('day') < $today->iso();

        return [
            'id' => ['required', new UuidV7],
            'kind' => ['required', Rule::in(Fixture::KINDS)],
            'athlete_id' => ['present', 'nullable', 'uuid'],
            'day' => [
                'required', 'bail', new CalendarDay,
                // Training elsewhere that is over is told of as work; a match may have been forgotten.
                'after_or_equal:'.($this->input('kind') === Fixture::MATCH ? Silence::firstDeclared($today) : $today)->iso(),
                'before:'.$today->plus(366)->iso(),
            ],
            'weeks' => ['required', 'integer:strict', $isOver ? 'between:1,1' : 'between:1,30'],
            'starts_at' => ['required', 'bail', 'string', 'date_format:H:i'],
            'title' => ['required', 'string', 'max:80'],
            'doses' => ['required', 'array', 'min:1', 'max:6'],
            'doses.*.skill' => ['required', Rule::in(array_keys(app(Library::class)->skills()))],
            'doses.*.reps' => ['required', 'integer:strict', 'between:1,400'],
            'doses.*.felt' => ['present', 'nullable', Rule::enum(Felt::class)],
        ];
    }
}
