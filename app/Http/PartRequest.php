<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Foundation\Http\FormRequest;

/** A part of a file that comes in pieces, at most a million bytes of it. */
final class PartRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['base64' => ['required', 'string', 'max:1400000', 'regex:/^[A-Za-z0-9+\/]+={0,2}$/D']];
    }
}
