<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** One's own words about a session, or about one athlete in it; empty takes them away. */
final class CoachNoteRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'athlete_id' => ['present', 'nullable', 'uuid'],
            'text' => ['present', 'nullable', 'string', 'max:400'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.max' => 'A note has 400 characters at most: what is to be done, and no more.'];
    }
}
