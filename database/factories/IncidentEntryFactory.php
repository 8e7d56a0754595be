<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Health\IncidentEntry;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * A guardian was told.
 *
 * @extends Factory<IncidentEntry>
 */
final class IncidentEntryFactory extends Factory
{
    protected $model = IncidentEntry::class;

    public function definition(): array
    {
        return [
            'id' => (string) Str::uuid7(),
            'incident_id' => IncidentFactory::new(),
            'kind' => 'told',
            'at' => Carbon::now('Europe/Lisbon')->toIso8601String(),
            'who' => 'the mother',
            'text' => 'By phone.',
            'made_by' => UserFactory::new(),
            'made_at' => Carbon::now(),
        ];
    }
}
