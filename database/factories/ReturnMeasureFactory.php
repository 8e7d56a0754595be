<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Returns\ReturnMeasure;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * Both sides measured alike.
 *
 * @extends Factory<ReturnMeasure>
 */
final class ReturnMeasureFactory extends Factory
{
    protected $model = ReturnMeasure::class;

    public function definition(): array
    {
        return [
            'return_id' => PlayReturnFactory::new(),
            'criterion' => 'strength',
            'injured' => 30.0,
            'sound' => 30.0,
            'measured_by' => 'Dr. Kim Reed',
            'measured_on' => Carbon::now()->toDateString(),
            'recorded_by' => UserFactory::new(),
            'recorded_at' => Carbon::now(),
        ];
    }
}
