<?php

declare(strict_types=1);

namespace App\Devices\Requests;

use App\Devices\ReadingBatch;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a person says of readings: which repetition one was, that they were none, or that nobody tapped them. */
final class ReadingsSaidRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'readings' => ['required', 'array', 'min:1', 'max:'.($this->input('rep_id') === null ? ReadingBatch::MOST : 1)],
            'readings.*' => ['uuid', 'distinct'],
            'rep_id' => ['present', 'nullable', 'uuid'],
            'word' => ['present', 'nullable', Rule::in(['aside', 'counts'])],
        ];
    }
}
