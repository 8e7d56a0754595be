<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\Http\CalendarDay;
use Illuminate\Foundation\Http\FormRequest;

/** One athlete more for a clinician or a guardian: somebody has to agree. */
final class ShareRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'person' => ['required', 'integer:strict'],
            'agreed_by' => ['required', 'string', 'max:120'],
            'agreed_on' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'agreed_by.required' => 'Write who agreed: the athlete, or a guardian.',
            'agreed_on.before_or_equal' => 'Choose today or an earlier day.',
        ];
    }
}
