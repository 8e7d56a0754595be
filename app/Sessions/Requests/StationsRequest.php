<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use Augendo\Core\Load\Surface;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class StationsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer:strict'],
            'minutes' => ['required', 'integer:strict', 'between:1,300'],
            'adults' => ['required', 'integer:strict', 'between:0,40'],
            'balls' => ['required', 'integer:strict', 'between:0,500'],
            'spaces' => ['present', 'array', 'max:12'],
            'spaces.*.id' => ['required', 'string', 'max:40', 'distinct'],
            'spaces.*.title' => ['required', 'string', 'max:60'],
            'spaces.*.length_m' => ['required', 'numeric:strict', 'gt:0', 'max:200'],
            'spaces.*.lanes' => ['required', 'integer:strict', 'between:1,60'],
            'spaces.*.surface' => ['present', 'nullable', Rule::enum(Surface::class)],
            'spaces.*.sector' => ['required', 'boolean:strict'],
            'absent' => ['present', 'array', 'max:200'],
            'absent.*' => ['uuid'],
            'late' => ['present', 'array', 'max:200'],
            'late.*.athlete' => ['required', 'uuid'],
            'late.*.minutes' => ['required', 'integer:strict', 'between:1,240'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'minutes.between' => 'A session takes 1 to 300 minutes.',
            'spaces.*.length_m.gt' => 'A space is longer than 0 m.',
            'spaces.*.lanes.between' => 'A space has 1 to 60 lanes: so many work side by side.',
        ];
    }

    /** @return array<string, mixed> as it is kept */
    public function stations(): array
    {
        $given = $this->validated();

        return [
            ...array_intersect_key($given, array_flip(['minutes', 'adults', 'balls', 'spaces', 'absent'])),
            'late' => array_column($given['late'], 'minutes', 'athlete'),
        ];
    }
}
