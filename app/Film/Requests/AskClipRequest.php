<?php

declare(strict_types=1);

namespace App\Film\Requests;

use App\Http\UuidV7;
use App\Library\KnownLadder;
use Illuminate\Foundation\Http\FormRequest;

/** A clip the coach asks for: what is to be filmed. */
final class AskClipRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'ladder' => ['required', 'string', 'bail', new KnownLadder($this->user()->workspace_id)],
            'what' => ['required', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['what.required' => 'Say what is to be filmed: how many tries, from where.'];
    }

    /** @return array{id: string, ladder: string, what: string} */
    public function asked(): array
    {
        /** @var array{id: string, ladder: string, what: string} */
        return $this->validated();
    }
}
