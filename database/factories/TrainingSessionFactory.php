<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Sessions\TrainingSession;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * The evening session of today.
 *
 * @extends Factory<TrainingSession>
 */
final class TrainingSessionFactory extends Factory
{
    protected $model = TrainingSession::class;

    public function definition(): array
    {
        return [
            'squad_id' => SquadFactory::new(),
            'held_on' => Carbon::now('Europe/Lisbon')->toDateString(),
            'starts_at' => '17:00',
            'title' => 'Evening session',
        ];
    }
}
