<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use App\Http\CalendarDay;
use App\Http\PastInstant;
use App\Http\UuidV7;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Felt;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What was practised at home, told on the personal page. The day is looked at once the link says whose it is. */
final class PracticeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'at' => ['required', new PastInstant],
            'day' => ['required', 'bail', new CalendarDay],
            'skill' => ['required', Rule::in(array_keys(app(Library::class)->skills()))],
            'reps' => ['required', 'integer:strict', 'between:1,300'],
            // What the phone heard, where it listened: the larger number is the load.
            'heard' => ['nullable', 'integer:strict', 'between:0,1000'],
            'felt' => ['present', 'nullable', Rule::enum(Felt::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reps.between' => 'Repetitions lie between 1 and 300.', 'heard.between' => 'What was heard lies between 0 and 1000.'];
    }
}
