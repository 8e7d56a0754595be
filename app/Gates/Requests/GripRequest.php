<?php

declare(strict_types=1);

namespace App\Gates\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;

/** How a ball was held, and what it did. */
final class GripRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $text = ['required', 'string', 'max:200'];

        return [
            'id' => ['required', new UuidV7],
            'ladder' => ['required', 'string', 'max:100'],
            'day' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
            // What is tried together courtside is written with a plus between.
            'name' => ['required', 'string', 'max:60', 'not_regex:/\+/'],
            'fingers' => $text,
            'pressure' => $text,
            'thumb' => $text,
            'did' => $text,
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.not_regex' => 'Write the name without a plus: one grip at a time.'];
    }
}
