<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Seasons\WeekElsewhere;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * Last week elsewhere, as usual, told on the personal page.
 *
 * @extends Factory<WeekElsewhere>
 */
final class WeekElsewhereFactory extends Factory
{
    protected $model = WeekElsewhere::class;

    public function definition(): array
    {
        return [
            'athlete_id' => AthleteFactory::new(),
            'week' => Carbon::now('Europe/Lisbon')->startOfWeek()->subWeek()->toDateString(),
            'answer' => 'usual',
            'told_by' => null,
            'told_at' => Carbon::now(),
        ];
    }
}
