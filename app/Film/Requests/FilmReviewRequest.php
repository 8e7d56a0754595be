<?php

declare(strict_types=1);

namespace App\Film\Requests;

use App\Film\FilmReviews;
use App\Http\UuidV7;
use App\Library\KnownLadder;
use Augendo\Core\Mechanics\FocusPoints;
use Illuminate\Foundation\Http\FormRequest;

/**
 * Up to three points a coach makes of clips: where it is seen, and the fault whose cue and drill mend it.
 *
 * @phpstan-import-type Point from FilmReviews
 */
final class FilmReviewRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'ladder' => ['required', 'string', 'bail', new KnownLadder($this->user()->workspace_id)],
            'rung' => ['required', 'string', 'max:60'],
            'points' => ['required', 'array', 'list', 'min:1', 'max:'.FocusPoints::MOST],
            'points.*.clip_id' => ['required', new UuidV7],
            'points.*.rep' => ['required', 'integer:strict', 'between:1,30'],
            'points.*.moment' => ['required', 'string', 'max:60'],
            'points.*.fault' => ['required', 'string', 'max:60', 'distinct'],
            'next_time' => ['present', 'nullable', 'string', 'max:300'],
            'label' => ['required', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'points.required' => 'Choose at least one point.',
            'points.max' => 'Three points at most: nobody works on more at once.',
            'points.*.fault.distinct' => 'Two points ask for the same. Leave one out.',
            'label.required' => 'Say whom the link is for.',
        ];
    }

    /** @return array{id: string, ladder: string, rung: string, points: list<Point>, next_time: string|null, label: string} */
    public function review(): array
    {
        /** @var array{id: string, ladder: string, rung: string, points: list<Point>, next_time: string|null, label: string} */
        return $this->validated();
    }
}
