<?php

declare(strict_types=1);

namespace App\Returns\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use App\Returns\PlayReturn;
use Illuminate\Foundation\Http\FormRequest;

final class ReturnClearanceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $return = $this->route('return');
        $stages = $return instanceof PlayReturn ? count($return->programmeAsOpened()->stages) : null;

        return [
            'id' => ['required', new UuidV7],
            'through_stage' => ['present', 'nullable', 'integer:strict', $stages === null ? 'min:0' : 'between:0,'.($stages - 1)],
            'clinician_name' => ['required', 'string', 'max:120'],
            'clinician_role' => ['required', 'string', 'max:120'],
            'document_date' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
            'note' => ['nullable', 'string', 'max:500'],
        ];
    }
}
