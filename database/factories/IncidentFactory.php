<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Health\Incident;
use App\Health\IncidentKind;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * Somebody fell; it is open.
 *
 * @extends Factory<Incident>
 */
final class IncidentFactory extends Factory
{
    protected $model = Incident::class;

    public function definition(): array
    {
        return [
            'id' => (string) Str::uuid7(),
            'athlete_id' => AthleteFactory::new(),
            'kind' => IncidentKind::Fall,
            'at' => Carbon::now('Europe/Lisbon')->toIso8601String(),
            'what' => 'Fell over a ball.',
            'opened_by' => UserFactory::new(),
            'opened_at' => Carbon::now(),
        ];
    }
}
