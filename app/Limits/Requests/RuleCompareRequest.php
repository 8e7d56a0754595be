<?php

declare(strict_types=1);

namespace App\Limits\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A draft of a rule set, to be held against the days gone by. */
final class RuleCompareRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['days' => ['required', 'integer:strict', 'between:1,366'], 'definition' => ['required', 'array']];
    }
}
