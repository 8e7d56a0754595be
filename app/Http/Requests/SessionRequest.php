<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class SessionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'day' => ['required', 'date_format:Y-m-d', 'after_or_equal:'.$this->user()->workspace->today()->iso(), 'before:'.$this->user()->workspace->today()->plus(366)->iso()],
            'starts_at' => ['required', 'date_format:H:i'],
            'title' => ['required', 'string', 'max:80'],
        ];
    }
}
