<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Seasons\Season;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * Ten weeks ahead on the float serve, not worked out yet.
 *
 * @extends Factory<Season>
 */
final class SeasonFactory extends Factory
{
    protected $model = Season::class;

    public function definition(): array
    {
        return [
            'athlete_id' => AthleteFactory::new(),
            'squad_id' => SquadFactory::new(),
            'ladder' => 'volleyball-float-serve',
            'goal_rung' => 'pace',
            'starts_on' => Carbon::now()->toDateString(),
            'goal_on' => Carbon::now()->addDays(70)->toDateString(),
            'weekdays' => [1, 3, 5],
            'moves' => [],
            'off' => [],
            'minutes' => null,
            'agreed' => [],
            'agreed_at' => Carbon::now('Europe/Lisbon')->toIso8601String(),
            'version' => 1,
            'created_by' => UserFactory::new(),
        ];
    }
}
