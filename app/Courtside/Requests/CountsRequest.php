<?php

declare(strict_types=1);

namespace App\Courtside\Requests;

use App\Http\UuidV7;
use Augendo\Core\Courtside\CountChange;
use Illuminate\Foundation\Http\FormRequest;

final class CountsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            // Needed where there were fewer than were counted.
            'reason' => ['present', 'nullable', 'string', 'max:200'],
            'blocks' => ['present', 'array', 'list', 'max:40'],
            'blocks.*.id' => ['required', 'uuid'],
            'blocks.*.reps' => ['required', 'integer:strict', 'between:0,'.CountChange::MOST_REPS],
            // Ticked as judged; absent or null: nobody judged them.
            'blocks.*.good' => ['nullable', 'integer:strict', 'min:0', 'lte:blocks.*.reps'],
            'minutes' => ['present', 'nullable', 'integer:strict', 'between:1,600'],
            'session_rpe' => ['present', 'nullable', 'integer:strict', 'between:0,10'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'blocks.*.reps.between' => 'Repetitions lie between 0 and '.CountChange::MOST_REPS.'.',
            'blocks.*.good.lte' => 'No more can be good than were done.',
        ];
    }
}
