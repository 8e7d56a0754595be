<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The rung of a ladder somebody is placed on. */
final class PlaceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['ladder' => ['required', 'string'], 'rung' => ['required', 'string']];
    }
}
