<?php

declare(strict_types=1);

namespace App\Returns\Requests;

use App\Http\CalendarDay;
use Illuminate\Foundation\Http\FormRequest;

/** The day a stage is trained on. */
final class StageSheetRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $today = $this->user()->workspace->today();

        return [
            'day' => ['required', 'bail', new CalendarDay, 'after_or_equal:'.$today->iso(), 'before:'.$today->plus(60)->iso()],
        ];
    }
}
