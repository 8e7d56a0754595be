<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use App\Http\CalendarDay;
use App\Library\KnownLadder;
use Augendo\Core\Library\Library;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class SessionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'day' => [
                'required', 'bail', new CalendarDay, 'after_or_equal:'.$this->user()->workspace->today()->iso(),
                'before:'.$this->user()->workspace->today()->plus(366)->iso(),
            ],
            'starts_at' => ['required', 'bail', 'string', 'date_format:H:i'],
            'title' => ['required', 'string', 'max:80'],
            'minutes' => ['nullable', 'integer:strict', 'between:1,240'],
            'ladders' => ['nullable', 'array', 'max:40'],
            'ladders.*' => [new KnownLadder($this->user()->workspace_id)],
            'objects' => ['nullable', 'array', 'max:100'],
            'objects.*' => [Rule::in(array_keys(app(Library::class)->objects()))],
        ];
    }
}
