<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use App\Http\CalendarDay;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class SessionChangeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer:strict'],
            'scope' => ['required', Rule::in(['one', 'after'])],
            'day' => ['required', 'bail', new CalendarDay, 'before:'.$this->user()->workspace->today()->plus(366)->iso()],
            'starts_at' => ['required', 'bail', 'string', 'date_format:H:i'],
            'title' => ['required', 'string', 'max:80'],
            'minutes' => ['present', 'nullable', 'integer:strict', 'between:1,240'],
            'place' => ['present', 'nullable', 'string', 'max:80'],
        ];
    }
}
