<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * A right-handed athlete of sixteen, in no squad yet.
 *
 * @extends Factory<Athlete>
 */
final class AthleteFactory extends Factory
{
    protected $model = Athlete::class;

    public function definition(): array
    {
        return [
            'workspace_id' => WorkspaceFactory::new(),
            'given_name' => 'Alex',
            'family_name' => 'Marsh',
            'birth_date' => Carbon::now()->subYears(16)->subDays(100)->toDateString(),
            'throwing_side' => 'right',
            'turn_direction' => 'right',
        ];
    }

    public function aged(int $years): self
    {
        return $this->state(['birth_date' => Carbon::now()->subYears($years)->subDays(100)->toDateString()]);
    }

    /** @param  int|null  $position  in the running order; null: last */
    public function in(Squad $squad, ?int $position = null): self
    {
        return $this->state(['workspace_id' => $squad->workspace_id])->afterCreating(
            fn (Athlete $athlete) => $athlete->squads()->attach($squad->id, ['position' => $position ?? $squad->athletes()->count()]),
        );
    }
}
