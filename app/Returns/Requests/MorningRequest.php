<?php

declare(strict_types=1);

namespace App\Returns\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The worst score of the returning place on the morning after. */
final class MorningRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['score' => ['required', 'integer:strict', 'between:0,10']];
    }
}
