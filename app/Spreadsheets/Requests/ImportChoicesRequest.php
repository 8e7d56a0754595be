<?php

declare(strict_types=1);

namespace App\Spreadsheets\Requests;

use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Spreadsheets\Column;
use Augendo\Core\Spreadsheets\DateOrder;
use Augendo\Core\Spreadsheets\LengthUnit;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What the columns of a spreadsheet are, and what its words mean. */
final class ImportChoicesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer:strict'],
            'columns' => ['required', 'array', 'list', 'max:60'],
            'columns.*' => ['nullable', Rule::enum(Column::class), 'distinct'],
            'date_order' => ['present', 'nullable', Rule::enum(DateOrder::class)],
            'distance_unit' => ['present', 'nullable', Rule::enum(LengthUnit::class)],
            'squad_id' => ['present', 'nullable', 'integer:strict'],
            'throwing_side' => ['present', 'nullable', Rule::enum(Handedness::class)],
            'skills' => ['present', 'array', 'list', 'max:200'],
            'skills.*.word' => ['required', 'string', 'max:200'],
            'skills.*.means' => ['present', 'nullable', 'string', Rule::in(array_keys(app(Library::class)->skills()))],
            'athletes' => ['present', 'array', 'list', 'max:200'],
            'athletes.*.word' => ['required', 'string', 'max:200'],
            'athletes.*.means' => ['present', 'nullable', 'uuid'],
        ];
    }

    /** @return array<string, mixed> as they are kept */
    public function choices(): array
    {
        $given = $this->safe()->except('version');
        foreach (['skills', 'athletes'] as $words) {
            $given[$words] = array_column($given[$words], 'means', 'word');
        }

        return $given;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'columns.*.distinct' => 'Two columns cannot be the same. Pass one of them over.',
        ];
    }
}
