<?php

declare(strict_types=1);

namespace App\Library\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Single changes of another file of the ladder that are taken over. */
final class TakeChangesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer:strict', 'min:1'],
            'with' => ['required', 'string', 'max:40'],
            'pointers' => ['required', 'array', 'min:1', 'max:1000'],
            'pointers.*' => ['string', 'max:400', 'distinct'],
        ];
    }
}
