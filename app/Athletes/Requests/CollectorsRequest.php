<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The whole list of those a child may be handed to. */
final class CollectorsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'names' => ['present', 'array', 'list', 'max:12'],
            'names.*' => ['required', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'names.max' => 'Twelve people at most: take somebody off first.',
            'names.*.required' => 'Write the name of each, or take the empty line away.',
            'names.*.max' => 'A name has 80 characters at most.',
        ];
    }
}
