<?php

declare(strict_types=1);

namespace App\Film\Requests;

use App\Film\FilmConsents;
use App\Http\CalendarDay;
use App\Http\UuidV7;
use Augendo\Core\Frames\FilmConsent;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/**
 * Who agreed to film. Whoever is signed in as a guardian or as the athlete says it for themselves: their name and role are known.
 *
 * @phpstan-import-type Consent from FilmConsents
 */
final class FilmConsentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'kind' => ['required', Rule::in(FilmConsent::KINDS)],
            'pictures' => ['required', 'boolean:strict'],
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

    /** @return Consent */
    public function consent(): array
    {
        /** @var Consent */
        return $this->validated();
    }
}
