<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use App\Http\CalendarDay;
use App\Http\PastInstant;
use App\Http\UuidV7;
use App\Sessions\WorkLog;
use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Felt;
use Augendo\Core\Load\Side;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Work that was done without a sheet. */
final class WorkRequest extends FormRequest
{
    private const DAYS_BACK = 400;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $today = $this->user()->workspace->today();
        // Whoever enters it may be hours ahead of the club: their own today has come for them.
        $latest = $this->livedDay()?->latest($today) ?? $today;

        return [
            'id' => ['required', new UuidV7],
            'day' => [
                'required', 'bail', new CalendarDay, 'before_or_equal:'.$latest->iso(),
                'after:'.$today->plus(-self::DAYS_BACK)->iso(),
            ],
            'at' => ['nullable', new PastInstant],
            'source' => ['required', Rule::in(WorkLog::SOURCES)],
            'skill' => ['required', Rule::in(array_keys(app(Library::class)->skills()))],
            'reps' => ['required', 'integer:strict', 'between:1,1000'],
            'felt' => ['present', 'nullable', Rule::enum(Felt::class)],
            'distance_m' => ['present', 'nullable', 'numeric:strict', 'gt:0', 'max:200'],
            'side' => ['required', Rule::enum(Side::class)],
            // The match of the calendar it was played in, where several may be on one day.
            'fixture' => ['sometimes', 'nullable', 'uuid'],
        ];
    }

    private function livedDay(): ?Day
    {
        $at = $this->input('at');
        try {
            return is_string($at) ? Instant::of($at)->day : null;
        } catch (InvalidValue) {
            return null;
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reps.between' => 'Repetitions lie between 1 and 1000.', 'day.before_or_equal' => 'This day has not come yet.',
            'source.in' => 'Say where it was done: here, at home, in a match or at another club.',
        ];
    }
}
