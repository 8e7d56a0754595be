<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Health\Absence;
use App\Health\AbsenceKind;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * A week away from today.
 *
 * @extends Factory<Absence>
 */
final class AbsenceFactory extends Factory
{
    protected $model = Absence::class;

    public function definition(): array
    {
        return [
            'id' => (string) Str::uuid7(),
            'athlete_id' => AthleteFactory::new(),
            'kind' => AbsenceKind::Travel,
            'fever' => false,
            'from_day' => Carbon::now()->toDateString(),
            'until_day' => Carbon::now()->addDays(6)->toDateString(),
            'note' => null,
            'entered_by' => UserFactory::new(),
            'entered_at' => Carbon::now(),
        ];
    }
}
