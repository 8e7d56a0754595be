<?php

declare(strict_types=1);

namespace App\Returns\Requests;

use App\Http\UuidV7;
use App\Library\KnownLadder;
use Augendo\Core\Readiness\Site;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ReturnOpenRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'programme' => ['required', 'string'],
            'ladder' => ['required', new KnownLadder($this->user()->workspace_id)],
            'site' => ['required', Rule::enum(Site::class)->except([Site::None, Site::Head])],
            'side' => ['present', 'nullable', Rule::in(['left', 'right'])],
        ];
    }
}
