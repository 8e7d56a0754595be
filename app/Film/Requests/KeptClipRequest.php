<?php

declare(strict_types=1);

namespace App\Film\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Whether a clip that was sent in stays after the review. */
final class KeptClipRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['kept' => ['required', 'boolean:strict']];
    }
}
