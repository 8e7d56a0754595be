<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Health\Restriction;
use Augendo\Core\Limits\Covers;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * No overhead work for a week.
 *
 * @extends Factory<Restriction>
 */
final class RestrictionFactory extends Factory
{
    protected $model = Restriction::class;

    public function definition(): array
    {
        return [
            'id' => (string) Str::uuid7(),
            'athlete_id' => AthleteFactory::new(),
            'covers' => Covers::Overhead,
            'from_day' => Carbon::now()->toDateString(),
            'none_until' => Carbon::now()->addDays(6)->toDateString(),
            'until_day' => Carbon::now()->addDays(6)->toDateString(),
            'clinician_name' => 'Dr. Kim Reed',
            'set_by' => UserFactory::new(),
            'set_at' => Carbon::now(),
        ];
    }
}
