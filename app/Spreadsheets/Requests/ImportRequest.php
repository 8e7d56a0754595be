<?php

declare(strict_types=1);

namespace App\Spreadsheets\Requests;

use App\Http\UuidV7;
use Augendo\Core\Spreadsheets\Kind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A spreadsheet is about to come, in parts. */
final class ImportRequest extends FormRequest
{
    public const MOST_PARTS = 12;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'kind' => ['required', Rule::enum(Kind::class)],
            'file_name' => ['required', 'string', 'max:120'],
            'parts' => ['required', 'integer:strict', 'between:1,'.self::MOST_PARTS],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['parts.between' => 'A file has at most 12 MB. Bring it in as several.'];
    }
}
