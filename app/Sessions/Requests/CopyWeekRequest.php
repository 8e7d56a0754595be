<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use App\Http\CalendarDay;
use App\Http\UuidV7;
use Illuminate\Foundation\Http\FormRequest;

final class CopyWeekRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $today = $this->user()->workspace->today();

        return [
            'id' => ['required', new UuidV7],
            // Any day of the week that is filled; of a week that has begun, what is left.
            'week' => [
                'required', 'bail', new CalendarDay,
                'after_or_equal:'.$today->plus(-6)->iso(), 'before:'.$today->plus(366)->iso(),
            ],
        ];
    }
}
