<?php

declare(strict_types=1);

namespace App\Courtside\Requests;

use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;

final class DecideTogetherRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'decisions' => ['required', 'array', 'between:1,200'],
            'decisions.*.id' => ['required', new UuidV7, 'distinct'],
            'decisions.*.athlete_id' => ['required', 'uuid', 'distinct'],
            'decisions.*.revision' => ['required', 'integer:strict'],
        ];
    }
}
