<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Returns\ReturnStepTaken;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * One stage up.
 *
 * @extends Factory<ReturnStepTaken>
 */
final class ReturnStepTakenFactory extends Factory
{
    protected $model = ReturnStepTaken::class;

    public function definition(): array
    {
        return [
            'return_id' => PlayReturnFactory::new(),
            'action' => 'advance',
            'from_stage' => 0,
            'to_stage' => 1,
            'evidence' => ['v' => 2],
            'decided_by' => UserFactory::new(),
            'decided_at' => Carbon::now(),
        ];
    }
}
