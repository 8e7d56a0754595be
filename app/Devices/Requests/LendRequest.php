<?php

declare(strict_types=1);

namespace App\Devices\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** To whom a device is lent; to no squad: to nobody. */
final class LendRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'squad' => ['present', 'nullable', 'integer:strict', 'between:1,2000000000'],
            'athlete_id' => ['present', 'nullable', 'uuid'],
        ];
    }
}
