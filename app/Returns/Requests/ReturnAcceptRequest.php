<?php

declare(strict_types=1);

namespace App\Returns\Requests;

use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;

final class ReturnAcceptRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'action' => ['required', 'string'],
            'stage' => ['required', 'integer:strict', 'min:0'],
        ];
    }
}
