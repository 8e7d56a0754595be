<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;

/** The name under which the doses of a sheet are kept for the squad. */
final class TemplateRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['id' => ['required', new UuidV7], 'name' => ['required', 'string', 'max:80']];
    }
}
