<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The whole name, written out by whoever erases. */
final class ErasureRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['name' => ['required', 'string']];
    }
}
