<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use Augendo\Core\Load\Surface;
use Augendo\Core\Readiness\School;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class SquadRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'floor' => ['nullable', Rule::enum(Surface::class)],
            'school' => ['present', 'nullable', Rule::enum(School::class)],
        ];
    }
}
