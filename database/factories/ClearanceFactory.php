<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Health\Clearance;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * A clinician’s word that all of it may be trained again.
 *
 * @extends Factory<Clearance>
 */
final class ClearanceFactory extends Factory
{
    protected $model = Clearance::class;

    public function definition(): array
    {
        return [
            'athlete_id' => AthleteFactory::new(),
            'at' => Carbon::now('Europe/Lisbon')->toIso8601String(),
            'sites' => null,
            'clinician_name' => 'Dr. Kim Reed',
            'clinician_role' => 'Physiotherapist',
            'document_date' => Carbon::now()->toDateString(),
            'recorded_by' => UserFactory::new(),
            'received_at' => Carbon::now(),
        ];
    }
}
