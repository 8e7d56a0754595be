<?php

declare(strict_types=1);

namespace App\Health\Requests;

use App\Http\PastInstant;
use App\Http\UuidV7;

/** Reports from a personal page, with sleep, energy and illness if they are asked. */
final class LinkedReportsRequest extends ReportsRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'reports' => ['present', 'array', 'max:20'],
            'wellness' => ['present', 'nullable', 'array', 'required_array_keys:id,at'],
            'wellness.id' => ['required_with:wellness', new UuidV7],
            'wellness.at' => ['required_with:wellness', new PastInstant],
            ...array_combine(
                array_map(fn (string $answer): string => "wellness.{$answer}", array_keys(WellnessRequest::answers())),
                WellnessRequest::answers(),
            ),
        ];
    }
}
