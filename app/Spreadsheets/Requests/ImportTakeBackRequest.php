<?php

declare(strict_types=1);

namespace App\Spreadsheets\Requests;

use App\Courtside\Requests\TakeBackRequest;

/** All of a spreadsheet goes again. */
final class ImportTakeBackRequest extends TakeBackRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), 'version' => ['required', 'integer:strict']];
    }
}
