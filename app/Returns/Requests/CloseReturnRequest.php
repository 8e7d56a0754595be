<?php

declare(strict_types=1);

namespace App\Returns\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Why a return ends before its stages are done. */
final class CloseReturnRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['reason' => ['required', 'string', 'min:10', 'max:500']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.*' => 'Write why it ends here, in a sentence.'];
    }
}
