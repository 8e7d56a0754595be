<?php

declare(strict_types=1);

namespace App\Devices\Requests;

use App\Devices\ReadingBatch;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a person says of readings outside every session: no repetitions, or some that were told of; null: neither any more. */
final class OutsideSaidRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'readings' => ['required', 'array', 'min:1', 'max:'.ReadingBatch::MOST],
            'readings.*' => ['uuid', 'distinct'],
            'word' => ['present', 'nullable', Rule::in(['aside', 'counts'])],
        ];
    }
}
