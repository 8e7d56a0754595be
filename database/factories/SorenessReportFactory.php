<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Health\SorenessReport;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/**
 * Nothing sore before today’s session.
 *
 * @extends Factory<SorenessReport>
 */
final class SorenessReportFactory extends Factory
{
    protected $model = SorenessReport::class;

    public function definition(): array
    {
        return [
            'athlete_id' => AthleteFactory::new(),
            'at' => Carbon::now('Europe/Lisbon')->toIso8601String(),
            'day' => fn (array $report): string => substr($report['at'], 0, 10),
            'moment' => 'before',
            'site' => 'none',
            'side' => null,
            'kind' => 'muscle',
            'score' => 0,
            'refers' => false,
            'reported_by' => UserFactory::new(),
            'received_at' => Carbon::now(),
        ];
    }
}
