<?php

declare(strict_types=1);

namespace App\Spreadsheets\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The rows that were looked at go on record. */
final class ImportTakeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer:strict'],
            'also' => ['present', 'array', 'list', 'max:500'],
            'also.*' => ['integer:strict', 'between:1,1000000'],
            'without_unusable' => ['required', 'boolean:strict'],
        ];
    }
}
