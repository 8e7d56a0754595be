<?php

declare(strict_types=1);

namespace App\Health\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Site;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ConditionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'site' => ['required', Rule::enum(Site::class)->except([Site::None, Site::Head])],
            'side' => ['present', 'nullable', Rule::in(['left', 'right'])],
            'kind' => [
                'required',
                Rule::enum(Kind::class)->except(array_values(array_filter(Kind::cases(), fn (Kind $kind): bool => $kind->alwaysRefers()))),
            ],
            'up_to_score' => ['required', 'integer:strict', 'between:1,7'],
            'until_day' => ['required', 'bail', new CalendarDay, 'after_or_equal:'.$this->user()->workspace->today()->iso()],
            'note' => ['nullable', 'string', 'max:500'],
        ];
    }
}
