<?php

declare(strict_types=1);

namespace App\Courtside\Requests;

use App\Http\DescribesItself;
use App\Http\PastInstant;
use App\Http\UuidV7;
use App\Sessions\Sheet;
use App\Wording\Wording;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Scoring\Outcome;
use Augendo\Core\Scoring\Round;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;

/** Taps from a device. Each is judged by itself: one that cannot be used never holds up the others. */
final class EventsRequest extends FormRequest implements DescribesItself
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['events' => ['required', 'array', 'min:1', 'max:500']];
    }

    /** @return array{list<array<string, mixed>>, array<string, string>} usable events, and by id why the others are not */
    public function sorted(Sheet $sheet): array
    {
        $blocks = $sheet->blocks->pluck('id')->all();
        $valid = [];
        $refused = [];
        foreach ((array) $this->input('events') as $i => $event) {
            $event = (array) $event;
            $check = Validator::make($event, [
                ...self::eventRules(is_string($event['kind'] ?? null) ? $event['kind'] : null),
                'block_id' => ['required', Rule::in($blocks)],
                'at' => [
                    'required',
                    new PastInstant,
                    fn (string $attribute, mixed $value, \Closure $fail) => $this->refuseBeforeItsDay($sheet, $value, $fail),
                ],
            ], [
                'block_id.in' => 'This block is not on the sheet any more.',
            ]);
            if ($check->passes()) {
                $valid[] = $event;
            } else {
                $refused[is_string($event['id'] ?? null) ? $event['id'] : "events/{$i}"] = "events/{$i}/".$check
                    ->errors()
                    ->keys()[0].': '.$check
                    ->errors()
                    ->first();
            }
        }

        return [$valid, $refused];
    }

    /**
     * @param  string|null  $kind  what the note says depends on it
     * @return array<string, mixed> of one tap
     */
    private static function eventRules(?string $kind): array
    {
        return [
            'id' => ['required', new UuidV7],
            'block_id' => ['required', 'uuid'],
            'set_no' => ['required', 'integer:strict', 'between:1,50'],
            'kind' => [
                'required',
                Rule::in(['rep', 'fall', 'withdraw', 'correct', 'trying', 'felt', 'second', 'going_on', 'landed', 'round', 'tag']),
            ],
            'target_id' => ['required_if:kind,withdraw,correct,landed,tag', 'nullable', new UuidV7],
            'verdict' => [
                'required_if:kind,rep,correct,second', 'prohibited_if:kind,fall', 'nullable', Rule::in(['good', 'not_good', 'unobserved']),
            ],
            'fault' => ['nullable', 'string', 'regex:/^[a-z0-9-]{1,60}$/D'],
            'seen' => ['nullable', 'array', 'max:20', new ByCheckpoint],
            'seen.*' => [Rule::in(['right', 'wrong'])],
            'note' => [
                'required_if:kind,going_on,landed,round,tag', 'nullable', 'string', 'max:200',
                ...match ($kind) {
                    'landed' => [self::refuseNoOutcome(...)],
                    'round' => [self::refuseNoRound(...)],
                    'tag' => ['regex:/^-?[a-z0-9-]{1,60}$/D'],
                    default => [],
                },
            ],
            'side' => ['required', Rule::in(['dominant', 'other'])],
            'effort' => ['required_if:kind,felt', 'nullable', 'numeric:strict', 'between:0,1'],
            'distance_m' => ['nullable', 'numeric:strict', 'gt:0', 'max:200'],
            'at' => ['required', new PastInstant],
            'seq' => ['required', 'integer:strict', 'min:0'],
            'device' => ['required', 'uuid'],
        ];
    }

    private static function refuseNoOutcome(string $attribute, mixed $note, \Closure $fail): void
    {
        if (! is_string($note) || ! Outcome::isReadable($note)) {
            $fail('Write where it landed as two numbers of metres, like “0.4 -1.2”, or in a word: '.implode(', ', Outcome::WORDS).'.');
        }
    }

    /** A round that cannot be read is none; Round::NONE ends the one that is on. */
    private static function refuseNoRound(string $attribute, mixed $note, \Closure $fail): void
    {
        try {
            if ($note !== Round::NONE) {
                Round::read(is_string($note) ? $note : '');
            }
        } catch (InvalidValue $error) {
            $fail($error->getMessage());
        }
    }

    /** Taps are looked at one by one: one that cannot be used keeps none of the others back. */
    public function described(): array
    {
        $described = $this->rules();
        foreach (self::eventRules(null) as $field => $rules) {
            $described["events.*.{$field}"] = $rules;
        }

        return $described;
    }

    /** A sheet of a day that has come neither for the club nor for whoever taps: what is done now is not done on that day. */
    private function refuseBeforeItsDay(Sheet $sheet, mixed $at, \Closure $fail): void
    {
        try {
            $lived = Instant::of(is_string($at) ? $at : '')->day;
        } catch (InvalidValue) {
            return;
        }
        if ($sheet->day()->isAfter($lived) && $sheet->day()->isAfter($this->user()->workspace->today())) {
            $fail('This session is planned for '.Wording::day($sheet->day()).'. Plan one for today, and count on it.');
        }
    }
}
