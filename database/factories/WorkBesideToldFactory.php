<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Seasons\Fixture;
use App\Seasons\WorkBesideTold;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * Strength that was done.
 *
 * @extends Factory<WorkBesideTold>
 */
final class WorkBesideToldFactory extends Factory
{
    protected $model = WorkBesideTold::class;

    public function definition(): array
    {
        return [
            'fixture_id' => FixtureFactory::new()->state(['kind' => Fixture::BESIDE]),
            'athlete_id' => AthleteFactory::new(),
            'done' => true,
            'told_at' => Carbon::now(),
        ];
    }
}
