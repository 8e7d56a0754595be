<?php

declare(strict_types=1);

namespace App\Gates\Requests;

use App\Gates\SecondLooks;
use Augendo\Core\Courtside\CountChange;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class SecondLookRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'answer' => ['required', Rule::in([SecondLooks::LEFT, SecondLooks::TAKEN_BACK])],
            'reason' => ['required', 'string', 'min:'.CountChange::REASON_AT_LEAST, 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.required' => 'Write why.', 'reason.min' => 'Write why, in a few words.'];
    }
}
