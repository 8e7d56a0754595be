<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Returns\ReturnAttempt;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * A stage done whole, with nothing felt.
 *
 * @extends Factory<ReturnAttempt>
 */
final class ReturnAttemptFactory extends Factory
{
    protected $model = ReturnAttempt::class;

    public function definition(): array
    {
        return [
            'return_id' => PlayReturnFactory::new(),
            'day' => Carbon::now()->toDateString(),
            'stage' => 0,
            'completed' => true,
            'during' => 0,
            'eased' => false,
            'joint_sore' => false,
            'red_flag' => false,
            'morning_entered' => 0,
            'recorded_by' => UserFactory::new(),
            'recorded_at' => fn (array $attempt): Carbon => Carbon::parse("{$attempt['day']} 18:00"),
        ];
    }
}
