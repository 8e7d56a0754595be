<?php

declare(strict_types=1);

namespace App\Health\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use Augendo\Core\Readiness\Site;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ClearanceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'sites' => ['present', 'nullable', 'array', 'list', 'between:1,20'],
            'sites.*' => [Rule::enum(Site::class)],
            'clinician_name' => ['required', 'string', 'max:120'],
            'clinician_role' => ['required', 'string', 'max:120'],
            'document_date' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
            'note' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'document_date.before_or_equal' => 'The document is dated in the future.',
            'clinician_name.required' => 'A clearance needs the clinician’s name.',
            'clinician_role.required' => 'A clearance needs the clinician’s role.',
        ];
    }
}
