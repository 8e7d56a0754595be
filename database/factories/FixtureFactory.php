<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Athletes\Athlete;
use App\Seasons\Fixture;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * A home match of a squad in ten days.
 *
 * @extends Factory<Fixture>
 */
final class FixtureFactory extends Factory
{
    protected $model = Fixture::class;

    public function definition(): array
    {
        return [
            'squad_id' => SquadFactory::new(),
            'athlete_id' => null,
            'kind' => Fixture::MATCH,
            'held_on' => Carbon::now('Europe/Lisbon')->addDays(10)->toDateString(),
            'starts_at' => '15:00',
            'title' => 'Home match',
            'doses' => [['skill' => 'float-serve', 'reps' => 35, 'felt' => 'hard']],
            'created_by' => UserFactory::new(),
            'declared_on' => Carbon::now('Europe/Lisbon')->subDays(60)->toDateString(),
        ];
    }

    /** Training of one athlete that this club does not plan. */
    public function elsewhere(Athlete $athlete, string $title, string $skill, int $reps): self
    {
        return $this->state([
            'athlete_id' => $athlete->id, 'kind' => Fixture::ELSEWHERE, 'starts_at' => '10:00', 'title' => $title,
            'doses' => [['skill' => $skill, 'reps' => $reps, 'felt' => 'middling']],
        ]);
    }
}
