<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Foundation\Http\FormRequest;

/** An edited document of the library, and the version it was edited from. */
final class DocumentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['version' => ['required', 'integer:strict', 'min:0'], 'definition' => ['required', 'array']];
    }
}
