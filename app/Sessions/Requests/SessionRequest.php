<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use App\Library\KnownLadder;
use Augendo\Core\Courtside\CountChange;
use Augendo\Core\Library\Library;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class SessionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $today = $this->user()->workspace->today();
        // One session of a day gone by is entered late; a series is of days to come.
        $first = $this->input('until') === null ? $today->plus(-CountChange::LATE_DAYS) : $today;

        return [
            'id' => ['nullable', new UuidV7],
            'day' => [
                'required', 'bail', new CalendarDay,
                'after_or_equal:'.$first->iso(), 'before:'.$today->plus(366)->iso(),
            ],
            'starts_at' => ['required', 'bail', 'string', 'date_format:H:i'],
            'title' => ['required', 'string', 'max:80'],
            'minutes' => ['nullable', 'integer:strict', 'between:1,240'],
            'place' => ['nullable', 'string', 'max:80'],
            // Every week, until a day, on these weekdays, but for holidays.
            'until' => ['nullable', 'bail', new CalendarDay],
            'weekdays' => ['required_with:until', 'array', 'max:7'],
            'weekdays.*' => ['integer:strict', 'between:1,7'],
            'without' => ['nullable', 'array', 'max:20'],
            'without.*.from' => ['required', 'bail', new CalendarDay],
            'without.*.to' => ['required', 'bail', new CalendarDay],
            'ladders' => ['nullable', 'array', 'max:40'],
            'ladders.*' => [new KnownLadder($this->user()->workspace_id)],
            'objects' => ['nullable', 'array', 'max:100'],
            'objects.*' => [Rule::in(array_keys(app(Library::class)->objects()))],
        ];
    }
}
