<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use Augendo\Core\Library\Handedness;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class AthleteRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => [$this->isMethod('POST') ? 'required' : 'nullable', new UuidV7],
            'given_name' => ['required', 'string', 'max:60'],
            'family_name' => ['required', 'string', 'max:60'],
            'birth_date' => [
                'present', 'nullable', 'bail', new CalendarDay, 'after:1900-01-01',
                'before_or_equal:'.$this->user()->workspace->today()->iso(),
            ],
            'throwing_side' => ['required', Rule::enum(Handedness::class)],
            'turn_direction' => ['present', 'nullable', Rule::enum(Handedness::class)],
        ];
    }
}
