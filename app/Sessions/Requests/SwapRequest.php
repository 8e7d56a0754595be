<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;

/** The version of the sheet that was looked at, and an id of the change: sent twice it is done once. */
final class SwapRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['id' => ['required', new UuidV7], 'version' => ['required', 'integer:strict']];
    }
}
