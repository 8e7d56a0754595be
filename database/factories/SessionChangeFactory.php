<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Sessions\PlanAct;
use App\Sessions\SessionChange;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * A session that was planned today, with nothing in it.
 *
 * @extends Factory<SessionChange>
 */
final class SessionChangeFactory extends Factory
{
    protected $model = SessionChange::class;

    public function definition(): array
    {
        return [
            'squad_id' => SquadFactory::new(),
            'kind' => PlanAct::Planned,
            'about' => [
                'title' => 'Evening session', 'day' => Carbon::now('Europe/Lisbon')->toDateString(),
                'starts_at' => '17:00', 'sessions' => 1,
            ],
            'before' => ['sessions' => [], 'sheets' => [], 'made' => [], 'made_sheets' => []],
            'made_by' => UserFactory::new(),
            'made_at' => Carbon::now(),
        ];
    }
}
