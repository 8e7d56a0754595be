<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Whether a template of the squad is out of sight. */
final class RemoveTemplateRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['removed' => ['required', 'boolean:strict']];
    }
}
