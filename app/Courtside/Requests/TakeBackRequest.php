<?php

declare(strict_types=1);

namespace App\Courtside\Requests;

use Augendo\Core\Courtside\CountChange;
use Illuminate\Foundation\Http\FormRequest;

/** Something on record goes, and its load with it: that gives room, and takes a reason. */
class TakeBackRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['reason' => ['required', 'string', 'min:'.CountChange::REASON_AT_LEAST, 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.required' => 'Write why it goes: there is more room today without it.',
            'reason.min' => 'Write why, in a few words.',
        ];
    }
}
