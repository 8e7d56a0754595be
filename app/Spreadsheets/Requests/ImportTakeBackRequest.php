<?php

declare(strict_types=1);

namespace App\Spreadsheets\Requests;

use Augendo\Core\Courtside\CountChange;
use Illuminate\Foundation\Http\FormRequest;

/** All of a spreadsheet goes again: work that goes gives room, and that takes a reason. */
final class ImportTakeBackRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer:strict'],
            'reason' => ['required', 'string', 'min:'.CountChange::REASON_AT_LEAST, 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.required' => 'Write why.', 'reason.min' => 'Write why, in a few words.'];
    }
}
