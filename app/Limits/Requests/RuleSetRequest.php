<?php

declare(strict_types=1);

namespace App\Limits\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The rule set a squad is held to. */
final class RuleSetRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['rule_set' => ['required', 'string']];
    }
}
