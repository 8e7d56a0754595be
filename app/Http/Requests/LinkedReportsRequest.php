<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;

/** Reports from a personal page, with sleep, energy and illness if they are asked. */
final class LinkedReportsRequest extends ReportsRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'reports' => ['present', 'array', 'max:20'],
            'wellness' => ['present', 'nullable', 'array'],
            'wellness.id' => ['required_with:wellness', new UuidV7],
            'wellness.at' => ['required_with:wellness', new PastInstant],
            'wellness.sleep' => ['nullable', 'integer', 'between:1,5'],
            'wellness.energy' => ['nullable', 'integer', 'between:1,5'],
            'wellness.ill' => ['nullable', Rule::in(['no', 'cold', 'fever'])],
        ];
    }
}
