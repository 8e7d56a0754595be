<?php

declare(strict_types=1);

namespace App\People\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class ShowScoresRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['shown' => ['required', 'boolean:strict']];
    }
}
