<?php

declare(strict_types=1);

namespace App\People\Requests;

use App\People\Role;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class InvitationRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'role' => ['required', Rule::enum(Role::class)],
            'name' => ['required', 'string', 'max:120'],
            'squads' => ['present', 'array', 'list', 'max:50'],
            'squads.*' => ['integer:strict'],
            'athletes' => ['present', 'array', 'list', 'max:200'],
            'athletes.*' => ['string', 'max:40'],
        ];
    }
}
