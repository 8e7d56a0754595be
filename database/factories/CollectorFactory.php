<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Athletes\Collector;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Collector> */
final class CollectorFactory extends Factory
{
    protected $model = Collector::class;

    public function definition(): array
    {
        return [
            'athlete_id' => AthleteFactory::new(),
            'name' => 'Ana Duarte',
            'named_by' => UserFactory::new(),
        ];
    }
}
