<?php

declare(strict_types=1);

namespace App\Library\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Files of ladders, as they were read on the device. */
final class LadderImportRequest extends FormRequest
{
    private const LARGEST_BYTES = 500_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'keep' => ['required', 'boolean:strict'],
            'files' => ['required', 'array', 'min:1', 'max:30'],
            'files.*.name' => ['required', 'string', 'max:200'],
            'files.*.text' => ['required', 'string', 'max:'.self::LARGEST_BYTES],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['files.*.text.max' => 'A ladder file is at most half a megabyte.', 'files.*.text.required' => 'The file is empty.'];
    }
}
