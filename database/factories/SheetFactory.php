<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Athletes\Athlete;
use App\Sessions\FitSheet;
use App\Sessions\Sheet;
use App\Sessions\TrainingSession;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A sheet without blocks: fitted() puts those of its rung on it.
 *
 * @extends Factory<Sheet>
 */
final class SheetFactory extends Factory
{
    protected $model = Sheet::class;

    public function definition(): array
    {
        return [
            'training_session_id' => TrainingSessionFactory::new(),
            'athlete_id' => AthleteFactory::new(),
            'held_on' => fn (array $sheet): string => TrainingSession::query()->whereKey($sheet['training_session_id'])->value('held_on'),
            'ladder' => 'volleyball-float-serve',
            'ladder_version' => 1,
            'rung' => 'line',
            'trims' => [],
            'state' => 'planned',
            'version' => 0,
        ];
    }

    public function of(Athlete $athlete, TrainingSession $session): self
    {
        return $this->state(['athlete_id' => $athlete->id, 'training_session_id' => $session->id, 'held_on' => $session->held_on]);
    }

    /** With the doses the athlete's limits and the day's word leave. */
    public function fitted(): self
    {
        return $this->afterCreating(function (Sheet $sheet): void {
            FitSheet::now($sheet);
            $sheet->refresh();
        });
    }
}
