<?php

declare(strict_types=1);

namespace App\People\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What holds for the whole club. */
final class ClubSettingsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['asks_wellness' => ['required', 'boolean:strict']];
    }
}
