<?php

declare(strict_types=1);

namespace App\Health\Requests;

use App\Http\PastInstant;
use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Sleep and energy from 1 to 5, and whether somebody is ill. */
final class WellnessRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['id' => ['required', new UuidV7], 'at' => ['required', new PastInstant], ...self::answers()];
    }

    /** @return array<string, mixed> */
    public static function answers(): array
    {
        return [
            'sleep' => ['nullable', 'integer:strict', 'between:1,5'],
            'energy' => ['nullable', 'integer:strict', 'between:1,5'],
            'ill' => ['nullable', Rule::in(['no', 'cold', 'fever'])],
        ];
    }
}
