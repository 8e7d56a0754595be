<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class DosesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer:strict'],
            'blocks' => ['required', 'array', 'list', 'max:40'],
            'blocks.*.id' => ['required', 'uuid'],
            'blocks.*.sets' => ['required', 'integer:strict', 'between:1,20'],
            'blocks.*.reps' => ['required', 'integer:strict', 'between:0,500'],
            'blocks.*.effort' => ['required', 'numeric:strict', 'between:0,1'],
            'blocks.*.distance_m' => ['nullable', 'numeric:strict', 'gt:0', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'blocks.*.reps.between' => 'Repetitions lie between 0 and 500.',
            'blocks.*.sets.between' => 'Sets lie between 1 and 20.',
            'blocks.*.effort.between' => 'An effort lies between 0 and 100 %.',
            'blocks.*.distance_m.gt' => 'A distance is more than 0 m.',
        ];
    }

    /** @return list<array{id: string, sets: int, reps: int, effort: float, distance_m: float|null}> */
    public function doses(): array
    {
        return array_map(fn (array $block): array => [
            'id' => $block['id'], 'sets' => (int) $block['sets'], 'reps' => (int) $block['reps'], 'effort' => (float) $block['effort'],
            'distance_m' => isset($block['distance_m']) ? (float) $block['distance_m'] : null,
        ], $this->validated('blocks'));
    }
}
