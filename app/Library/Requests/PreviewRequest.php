<?php

declare(strict_types=1);

namespace App\Library\Requests;

use Augendo\Core\Library\Handedness;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A ladder that is being edited, and the rung to be looked at. */
final class PreviewRequest extends FormRequest
{
    private const AGES = [5, 90];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'definition' => ['required', 'array'],
            'rung' => ['required', 'string', 'max:80'],
            'hand' => ['required', Rule::enum(Handedness::class)],
            'age' => ['required', 'integer:strict', 'between:'.implode(',', self::AGES)],
        ];
    }
}
