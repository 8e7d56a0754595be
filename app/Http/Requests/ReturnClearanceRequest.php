<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\PlayReturn;
use Illuminate\Foundation\Http\FormRequest;

final class ReturnClearanceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $return = $this->route('return');
        assert($return instanceof PlayReturn);

        return [
            'id' => ['required', new UuidV7],
            'through_stage' => ['present', 'nullable', 'integer:strict', 'between:0,'.(count($return->programmeAsOpened()->stages) - 1)],
            'clinician_name' => ['required', 'string', 'max:120'],
            'clinician_role' => ['required', 'string', 'max:120'],
            'document_date' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
            'note' => ['nullable', 'string', 'max:500'],
        ];
    }
}
