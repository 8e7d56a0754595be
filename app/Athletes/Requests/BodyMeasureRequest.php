<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use Augendo\Core\Library\Library;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class BodyMeasureRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $sides = array_keys(app(Library::class)->tests()->sides);

        return [
            'id' => ['required', new UuidV7],
            'what' => ['required', 'string', Rule::in(['jump_cm', ...$sides])],
            'side' => ['present', 'nullable', Rule::in(['left', 'right']), Rule::requiredIf(in_array($this->input('what'), $sides, true))],
            'value' => ['required', 'numeric:strict', 'gt:0', 'max:250'],
            'measured_on' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'side.required' => 'Say which side.',
            'value.gt' => 'Write what was measured: more than 0.',
            'value.max' => 'At most 250: look at the unit.',
        ];
    }

    /** @return array{id: string, what: string, side: string|null, value: float, measured_on: string} */
    public function measure(): array
    {
        /** @var array{id: string, what: string, side: string|null, value: float|int, measured_on: string} $given */
        $given = $this->validated();

        // A jump has no side.
        return [...$given, 'side' => $given['what'] === 'jump_cm' ? null : $given['side'], 'value' => (float) $given['value']];
    }
}
