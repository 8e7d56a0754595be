<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Gates\Placement;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * Two weeks on a rung of the float serve.
 *
 * @extends Factory<Placement>
 */
final class PlacementFactory extends Factory
{
    protected $model = Placement::class;

    public function definition(): array
    {
        return [
            'athlete_id' => AthleteFactory::new(),
            'ladder' => 'volleyball-float-serve',
            'ladder_version' => 1,
            'rung' => 'line',
            'entered_on' => Carbon::now()->subDays(14)->toDateString(),
            'entered_at' => fn (array $placement): string => self::at("{$placement['entered_on']} 06:00"),
        ];
    }

    private static function at(string $hour): string
    {
        return Carbon::parse($hour, 'Europe/Lisbon')->toIso8601String();
    }
}
