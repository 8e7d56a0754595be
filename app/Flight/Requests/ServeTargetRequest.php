<?php

declare(strict_types=1);

namespace App\Flight\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What a serve is to be tried with on the next sheet. */
final class ServeTargetRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'sheet_id' => ['required', 'uuid'],
            'skill' => ['required', 'string', 'max:80'],
            // of the serve as it is: who has no spin yet learns it before more is asked
            'topspin_now_rpm' => ['required', 'numeric:strict', 'between:-3000,3000'],
            'pace' => ['required', 'numeric:strict', 'between:0.7,1'],
            'topspin_rpm' => ['required', 'numeric:strict', 'between:0,1000'],
            'higher_m' => ['required', 'numeric:strict', 'between:0,0.2'],
            'aimed' => ['required', 'numeric:strict', 'between:0,1'],
        ];
    }
}
