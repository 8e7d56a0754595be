<?php

declare(strict_types=1);

namespace App\People\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** One pace of whoever steps distances out, metres. */
final class PaceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['pace_m' => ['required', 'numeric:strict', 'between:0.3,1.5']];
    }
}
