<?php

declare(strict_types=1);

namespace App\Film\Requests;

use App\Film\LandmarkPoints;
use App\Http\CalendarDay;
use App\Http\UuidV7;
use App\Library\KnownLadder;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What was measured of a clip: where the points lay, by repetition and moment, in pixels of its pictures. */
final class ClipRequest extends FormRequest
{
    private const MOST_PX = 20_000;

    private const MOST_REPS = 30;

    private const MOST_MARKS = 200;

    private const MOST_PICTURES = 30;

    /** All of a clip fit into one request of three megabytes; the device draws them coarser where they would not. */
    private const MOST_BASE64 = 100_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $pixel = ['required', 'numeric:strict', 'between:'.-self::MOST_PX.','.self::MOST_PX];
        $line = ['present', 'nullable', 'array', 'list', 'size:2', self::apart(...)];

        return [
            'id' => ['required', new UuidV7],
            'ladder' => ['required', 'string', 'bail', new KnownLadder($this->user()->workspace_id)],
            'rung' => ['required', 'string', 'max:60'],
            'filmed_on' => ['required', 'bail', new CalendarDay, 'before_or_equal:'.$this->user()->workspace->today()->iso()],
            'pictures_a_second' => ['present', 'nullable', 'numeric:strict', 'between:5,1000'],
            'setting' => ['required', 'array'],
            'setting.target' => ['required', Rule::in(['left', 'right'])],
            'setting.plumb' => $line,
            'setting.plumb.*' => ['array', 'list', 'size:2'],
            'setting.plumb.*.*' => $pixel,
            'setting.runway' => $line,
            'setting.runway.*' => ['array', 'list', 'size:2'],
            'setting.runway.*.*' => $pixel,
            'setting.scale' => ['present', 'nullable', 'array'],
            'setting.scale.line' => ['required_with:setting.scale', 'array', 'list', 'size:2', self::apart(...)],
            'setting.scale.line.*' => ['array', 'list', 'size:2'],
            'setting.scale.line.*.*' => $pixel,
            'setting.scale.metres' => ['required_with:setting.scale', 'numeric:strict', 'gt:0', 'max:200'],
            'marks' => ['required', 'array', 'list', 'min:1', 'max:'.self::MOST_MARKS],
            'marks.*.rep' => ['required', 'integer:strict', 'between:1,'.self::MOST_REPS],
            'marks.*.moment' => ['required', 'string', 'max:60'],
            'marks.*.picture_no' => ['required', 'integer:strict', 'between:0,1000000'],
            'marks.*.time_s' => ['required', 'numeric:strict', 'between:0,100000'],
            'marks.*.points' => ['present', new LandmarkPoints],
            'pictures' => ['present', 'array', 'list', 'max:'.self::MOST_PICTURES],
            'pictures.*.rep' => ['required', 'integer:strict', 'between:1,'.self::MOST_REPS],
            'pictures.*.moment' => ['required', 'string', 'max:60'],
            'pictures.*.jpeg' => ['required', 'string', 'max:'.self::MOST_BASE64, 'regex:/^[A-Za-z0-9+\/]+={0,2}$/D'],
            'counted' => ['present', 'array', 'list', 'max:'.self::MOST_REPS],
            'counted.*.rep' => ['required', 'integer:strict', 'between:1,'.self::MOST_REPS, 'distinct'],
            'counted.*.event_id' => ['required', new UuidV7],
            'seen' => ['present', 'array', 'list', 'max:'.self::MOST_MARKS],
            'seen.*.rep' => ['required', 'integer:strict', 'between:1,'.self::MOST_REPS],
            'seen.*.checkpoint' => ['required', 'string', 'max:60'],
            'seen.*.verdict' => ['required', Rule::in(['right', 'wrong'])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'marks.required' => 'Mark at least one moment before it is kept.',
            'marks.min' => 'Mark at least one moment before it is kept.',
            'filmed_on.before_or_equal' => 'Choose today or an earlier day.',
            'setting.scale.metres.gt' => 'Write how long the line is in metres: more than 0.',
        ];
    }

    private static function apart(string $attribute, mixed $line, Closure $fail): void
    {
        if (is_array($line) && count($line) === 2 && ($line[0] ?? null) == ($line[1] ?? null)) {
            $fail('Both ends of the line are one point. Draw it longer.');
        }
    }
}
