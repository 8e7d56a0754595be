<?php

declare(strict_types=1);

namespace App\Film\Requests;

use App\Http\UuidV7;
use Augendo\Core\Frames\FilmConsent;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is said about film on a personal page: yes, with a name, or not any more. */
final class LinkedFilmRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'kind' => ['required', Rule::in(FilmConsent::KINDS)],
            'pictures' => ['required', 'boolean:strict'],
            'agrees' => ['required', 'boolean:strict'],
            'name' => ['present', 'nullable', 'required_if:agrees,true', 'string', 'max:120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required_if' => 'Write your name.'];
    }
}
