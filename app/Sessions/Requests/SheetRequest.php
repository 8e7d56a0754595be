<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use Augendo\Core\Library\Library;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A sheet as it is to be: its blocks in order. One that is left out is taken away; one that was not there says what is added. */
final class SheetRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer:strict'],
            'blocks' => ['required', 'array', 'list', 'min:1', 'max:40'],
            'blocks.*.id' => ['required', 'uuid', 'distinct'],
            // By the name the list of what may be added gives it.
            'blocks.*.add' => ['sometimes', 'nullable', 'string', 'max:200'],
            'blocks.*.sets' => ['required', 'integer:strict', 'between:1,20'],
            'blocks.*.reps' => ['required', 'integer:strict', 'between:0,500'],
            'blocks.*.effort' => ['required', 'numeric:strict', 'between:0,1'],
            'blocks.*.distance_m' => ['nullable', 'numeric:strict', 'gt:0', 'max:200'],
            // What is not said stays as it is.
            'blocks.*.object' => ['sometimes', 'string', Rule::in(array_keys(app(Library::class)->objects()))],
            'blocks.*.side' => ['sometimes', Rule::enum(Side::class)],
            'blocks.*.surface' => ['sometimes', 'nullable', Rule::enum(Surface::class)],
            'blocks.*.rest_s' => ['sometimes', 'integer:strict', 'between:0,900'],
            'blocks.*.hold_s' => ['sometimes', 'nullable', 'integer:strict', 'between:1,120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'blocks.min' => 'A sheet keeps at least one block.',
            'blocks.*.reps.between' => 'Repetitions lie between 0 and 500.',
            'blocks.*.sets.between' => 'Sets lie between 1 and 20.',
            'blocks.*.effort.between' => 'An effort lies between 0 and 100 %.',
            'blocks.*.distance_m.gt' => 'A distance is more than 0 m.',
            'blocks.*.rest_s.between' => 'A rest lies between 0 and 900 seconds.',
            'blocks.*.hold_s.between' => 'A hold lies between 1 and 120 seconds.',
            'blocks.*.object.in' => 'Choose an object of the library.',
        ];
    }

    /** @return list<array<string, mixed>> as SheetDraft takes them */
    public function blocks(): array
    {
        return array_map(fn (array $block): array => [
            ...$block,
            'effort' => (float) $block['effort'],
            'distance_m' => isset($block['distance_m']) ? (float) $block['distance_m'] : null,
        ], array_values($this->validated('blocks')));
    }
}
