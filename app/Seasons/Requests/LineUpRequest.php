<?php

declare(strict_types=1);

namespace App\Seasons\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class LineUpRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            // An empty one: nobody of the squad plays.
            'athletes' => ['present', 'array', 'list', 'max:60'],
            // Who is taken out of a match that is over has more room since.
            'reason' => ['sometimes', 'nullable', 'string', 'max:200'],
            'athletes.*' => ['required', 'uuid', 'distinct'],
        ];
    }
}
