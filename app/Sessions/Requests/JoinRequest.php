<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use App\Library\KnownLadder;
use Illuminate\Foundation\Http\FormRequest;

final class JoinRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'athlete_id' => ['required', 'uuid'],
            'ladders' => ['nullable', 'array', 'min:1', 'max:10'],
            'ladders.*' => [new KnownLadder($this->user()->workspace_id)],
        ];
    }
}
