<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Returns\ReturnClearance;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * A clinician’s word for every stage.
 *
 * @extends Factory<ReturnClearance>
 */
final class ReturnClearanceFactory extends Factory
{
    protected $model = ReturnClearance::class;

    public function definition(): array
    {
        return [
            'return_id' => PlayReturnFactory::new(),
            'through_stage' => null,
            'clinician_name' => 'Dr. Kim Reed',
            'clinician_role' => 'Sports physician',
            'document_date' => Carbon::now()->toDateString(),
            'recorded_by' => UserFactory::new(),
            'recorded_at' => fn (array $clearance): Carbon => Carbon::parse($clearance['document_date']),
        ];
    }
}
