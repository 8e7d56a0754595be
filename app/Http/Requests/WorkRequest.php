<?php

declare(strict_types=1);

namespace App\Http\Requests;

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

        return [
            'id' => ['required', new UuidV7],
            'day' => ['required', 'date_format:Y-m-d', 'before_or_equal:'.$today->iso(), 'after:'.$today->plus(-self::DAYS_BACK)->iso()],
            'source' => ['required', Rule::in(['home', 'match', 'other club'])],
            'skill' => ['required', Rule::in(array_keys(app(Library::class)->skills()))],
            'reps' => ['required', 'integer', 'between:1,1000'],
            'felt' => ['present', 'nullable', Rule::enum(Felt::class)],
            'distance_m' => ['present', 'nullable', 'numeric', 'gt:0', 'max:200'],
            'side' => ['required', Rule::enum(Side::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reps.between' => 'Repetitions lie between 1 and 1000.', 'day.before_or_equal' => 'This day has not come yet.'];
    }
}
