<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Gates\Decision;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * One rung up, with no evidence kept of it.
 *
 * @extends Factory<Decision>
 */
final class DecisionFactory extends Factory
{
    protected $model = Decision::class;

    public function definition(): array
    {
        return [
            'athlete_id' => AthleteFactory::new(),
            'ladder' => 'volleyball-float-serve',
            'ladder_version' => 1,
            'rung' => 'short',
            'action' => 'advance',
            'to_rung' => 'line',
            'evidence' => ['v' => 2],
            'overridden' => [],
            'reason' => null,
            'day' => Carbon::now()->toDateString(),
            'decided_by' => UserFactory::new(),
            'decided_at' => fn (array $decision): Carbon => Carbon::parse($decision['day']),
        ];
    }
}
