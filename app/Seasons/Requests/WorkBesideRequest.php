<?php

declare(strict_types=1);

namespace App\Seasons\Requests;

use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;

/** Whether strength, bands or sprints that were planned were done. */
final class WorkBesideRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'fixture' => ['required', 'uuid'],
            'done' => ['required', 'boolean:strict'],
        ];
    }
}
