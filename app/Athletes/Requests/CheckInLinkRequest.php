<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use Augendo\Core\Frames\FilmConsent;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Whom a check-in link is for. */
final class CheckInLinkRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'label' => ['required', 'string', 'max:60'],
            'held_by' => ['nullable', Rule::in([FilmConsent::GUARDIAN, FilmConsent::ATHLETE])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['label.required' => 'Say whom the link is for, for example “mother’s phone”.'];
    }
}
