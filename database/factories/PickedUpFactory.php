<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Sessions\PickedUp;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<PickedUp> */
final class PickedUpFactory extends Factory
{
    protected $model = PickedUp::class;

    public function definition(): array
    {
        return [
            'training_session_id' => TrainingSessionFactory::new(),
            'athlete_id' => AthleteFactory::new(),
            'day' => '2027-05-20',
            'collected_by' => 'Ana Duarte',
            'on_list' => true,
            'noted_by' => UserFactory::new(),
        ];
    }
}
