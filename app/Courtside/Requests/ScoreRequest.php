<?php

declare(strict_types=1);

namespace App\Courtside\Requests;

use App\Http\DescribesItself;
use App\Http\UuidV7;
use Augendo\Core\Library\Library;
use Augendo\Core\Scoring\ScoreKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ScoreRequest extends FormRequest implements DescribesItself
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $kind = fn (ScoreKind $kind): string => "required_if:kind,{$kind->value}";

        return [
            'id' => ['required', new UuidV7],
            'kind' => ['required', Rule::enum(ScoreKind::class)],
            'name' => ['required', 'string', 'max:60'],
            'goal' => ['present', 'nullable', 'numeric:strict', 'between:0,10000'],
            'ladder' => ['present', 'nullable', 'string', 'max:80'],
            // The throws were tapped courtside already: they count there, not once more.
            'counted' => ['required', 'boolean:strict'],
            // What was thrown, off the ladders.
            'skill' => ['nullable', Rule::in(array_keys(app(Library::class)->skills()))],
            'seen' => ['required', 'array', 'max:6'],
            'seen.points_each' => [$kind(ScoreKind::TargetRound), 'integer:strict', 'between:1,100'],
            'seen.zones' => [$kind(ScoreKind::TargetRound), 'array', 'list', 'between:1,12'],
            'seen.zones.*' => ['array', 'list', 'between:1,50'],
            'seen.zones.*.*' => ['boolean:strict'],
            'seen.throws' => [$kind(ScoreKind::ClearTargets), $kind(ScoreKind::TimedGaps), 'integer:strict', 'between:1,500'],
            'seen.targets' => [$kind(ScoreKind::ClearTargets), 'integer:strict', 'between:1,50'],
            'seen.attempts' => [$kind(ScoreKind::InARow), 'array', 'list', 'between:1,500'],
            'seen.attempts.*' => ['boolean:strict'],
            'seen.passes' => [$kind(ScoreKind::TimedGaps), 'integer:strict', 'between:1,50'],
            'seen.times' => [$kind(ScoreKind::TimedGaps), 'array', 'list', 'between:1,8'],
            'seen.times.*' => ['numeric:strict', 'between:0,3600'],
            'seen.points' => [$kind(ScoreKind::ServeGame), $kind(ScoreKind::Grouping), 'array', 'list', 'between:1,300'],
            'seen.points.*' => ['array', 'list', 'size:2'],
            'seen.points.*.*' => $this->input('kind') === ScoreKind::Grouping->value
                ? ['required', $this->aNumber(...), 'numeric:strict', 'between:-100,100']
                : ['nullable', 'boolean:strict'],
        ];
    }

    /** True is no number, whatever it can be read as. */
    private function aNumber(string $attribute, mixed $value, \Closure $fail): void
    {
        if (! is_int($value) && ! is_float($value)) {
            $fail('This is not a number.');
        }
    }

    /** Points are pairs of numbers where places are entered, and of yes, no or nothing where a game is. */
    public function described(): array
    {
        return [...$this->rules(), 'seen.points.*.*' => []];
    }
}
