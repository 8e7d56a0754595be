<?php

declare(strict_types=1);

namespace App\Film\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use Augendo\Core\Frames\FilmConsent;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Who agreed to film. Whoever is signed in as a guardian or as the athlete says it for themselves: their name and role are known. */
final class FilmConsentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'role' => ['required', Rule::in([FilmConsent::GUARDIAN, FilmConsent::ATHLETE])],
            'given_by' => ['required', 'string', 'max:120'],
            'second_person' => ['present', 'nullable', 'string', 'max:120'],
            'given_on' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['given_by.required' => 'Write who signed.', 'given_on.before_or_equal' => 'Choose today or an earlier day.'];
    }

    /** @return array{id: string, role: string, given_by: string, second_person: string|null, given_on: string} */
    public function consent(): array
    {
        /** @var array{id: string, role: string, given_by: string, second_person: string|null, given_on: string} */
        return $this->validated();
    }
}
