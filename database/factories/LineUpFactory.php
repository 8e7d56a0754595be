<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Seasons\LineUp;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Somebody who plays, as hard as the match is declared.
 *
 * @extends Factory<LineUp>
 */
final class LineUpFactory extends Factory
{
    protected $model = LineUp::class;

    public function definition(): array
    {
        return [
            'fixture_id' => FixtureFactory::new()->state(['lined_up' => true]),
            'athlete_id' => AthleteFactory::new(),
            'doses' => [['skill' => 'float-serve', 'reps' => 35, 'felt' => 'hard']],
        ];
    }
}
