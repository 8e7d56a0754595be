<?php

declare(strict_types=1);

namespace App\Courtside\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Counts that a device holds for somebody who is not signed in on it. */
final class MissingCountsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'device' => ['required', 'uuid'],
            'athletes' => ['present', 'array', 'max:500'],
            'athletes.*.athlete_id' => ['required', 'uuid'],
            'athletes.*.count' => ['required', 'integer:strict', 'between:1,100000'],
        ];
    }
}
