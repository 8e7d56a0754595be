<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use Augendo\Core\Library\BlockKind;
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
            'stations' => ['present', 'array', 'max:10'],
            'stations.*.id' => ['required', 'string', 'max:40', 'distinct'],
            'stations.*.title' => ['required', 'string', 'max:60'],
            'stations.*.kinds' => ['required', 'array', 'between:1,12'],
            'stations.*.kinds.*' => [Rule::enum(BlockKind::class)],
            'stations.*.length_m' => ['required', 'numeric:strict', 'gt:0', 'max:200'],
            'stations.*.capacity' => ['required', 'integer:strict', 'between:1,60'],
            'stations.*.needs_adult' => ['required', 'boolean:strict'],
            'stations.*.surface' => ['present', 'nullable', Rule::enum(Surface::class)],
            'stations.*.gloves' => ['required', 'boolean:strict'],
            'stations.*.balls_each' => ['required', 'integer:strict', 'between:0,20'],
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
            'stations.*.length_m.gt' => 'An area is longer than 0 m.',
            'stations.*.capacity.between' => 'A station has room for 1 to 60.',
        ];
    }

    /** @return array<string, mixed> as it is kept */
    public function stations(): array
    {
        $given = $this->validated();

        return [
            ...array_intersect_key($given, array_flip(['minutes', 'adults', 'balls', 'stations', 'absent'])),
            'late' => array_column($given['late'], 'minutes', 'athlete'),
        ];
    }
}
