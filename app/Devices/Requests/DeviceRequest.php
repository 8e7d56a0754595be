<?php

declare(strict_types=1);

namespace App\Devices\Requests;

use App\Devices\DeviceKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A device to be added, or to be called something else. */
final class DeviceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'uuid'],
            'name' => ['required', 'string', 'max:80'],
            'kind' => ['required', Rule::enum(DeviceKind::class)],
        ];
    }
}
