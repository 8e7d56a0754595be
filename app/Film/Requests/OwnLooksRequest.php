<?php

declare(strict_types=1);

namespace App\Film\Requests;

use App\Film\OwnLooks;
use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/**
 * What whoever holds a review's page saw themselves.
 *
 * @phpstan-import-type Own from OwnLooks
 */
final class OwnLooksRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'looks' => ['required', 'array', 'list', 'min:1', 'max:'.OwnLooks::MOST],
            'looks.*.clip_id' => ['required', new UuidV7],
            'looks.*.rep' => ['required', 'integer:strict', 'between:1,30'],
            'looks.*.checkpoint' => ['required', 'string', 'max:60'],
            'looks.*.verdict' => ['required', Rule::in(['right', 'wrong'])],
        ];
    }

    /** @return list<Own> */
    public function looks(): array
    {
        /** @var list<Own> */
        return $this->validated('looks');
    }
}
