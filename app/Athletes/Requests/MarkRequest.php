<?php

declare(strict_types=1);

namespace App\Athletes\Requests;

use App\Http\CalendarDay;
use Augendo\Core\Library\Library;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class MarkRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'skill' => ['required', Rule::in(array_keys(app(Library::class)->skills()))],
            'longest_throw_m' => ['present', 'nullable', 'required_without:reference_speed_ms', 'numeric:strict', 'gt:0', 'max:200'],
            'reference_speed_ms' => ['present', 'nullable', 'numeric:strict', 'gt:0', 'max:80'],
            'measured_on' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
        ];
    }
}
