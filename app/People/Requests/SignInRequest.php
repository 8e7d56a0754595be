<?php

declare(strict_types=1);

namespace App\People\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Name and password. */
final class SignInRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['email' => ['required', 'email'], 'password' => ['required', 'string', 'max:200']];
    }
}
