<?php

declare(strict_types=1);

namespace App\Health\Requests;

use App\Http\PastInstant;
use App\Http\UuidV7;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Site;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

class ReportsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'reports' => ['required', 'array', 'min:1', 'max:20'],
            'reports.*.id' => ['required', new UuidV7],
            'reports.*.at' => ['required', new PastInstant],
            'reports.*.moment' => ['required', Rule::enum(Moment::class)],
            'reports.*.site' => ['required', Rule::enum(Site::class)],
            'reports.*.side' => ['nullable', Rule::in(['left', 'right'])],
            'reports.*.kind' => ['required', Rule::enum(Kind::class)],
            'reports.*.score' => ['required', 'integer:strict', 'between:0,10'],
            'reports.*.note' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            foreach ((array) $this->input('reports') as $i => $report) {
                if (is_array($report) && ($report['site'] ?? null) === 'none' && (int) ($report['score'] ?? 0) !== 0) {
                    $validator->errors()->add("reports.{$i}.score", '“Nothing sore” has the score 0; a sore place needs its site.');
                }
            }
        }];
    }
}
