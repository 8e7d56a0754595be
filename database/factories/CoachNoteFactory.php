<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Sessions\CoachNote;
use App\Sessions\TrainingSession;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A note for a whole squad.
 *
 * @extends Factory<CoachNote>
 */
final class CoachNoteFactory extends Factory
{
    protected $model = CoachNote::class;

    public function definition(): array
    {
        return [
            'training_session_id' => TrainingSessionFactory::new(),
            'athlete_id' => null,
            'squad_id' => fn (array $note): int => TrainingSession::query()->findOrFail($note['training_session_id'])->squad_id,
            'text' => 'Begin with the toss.',
            'written_by' => UserFactory::new(),
        ];
    }
}
