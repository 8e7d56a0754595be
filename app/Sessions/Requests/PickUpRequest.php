<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Who took a child home; empty takes it back. */
final class PickUpRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['athlete_id' => ['required', 'uuid'], 'name' => ['present', 'nullable', 'string', 'max:80']];
    }
}
