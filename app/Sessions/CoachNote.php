<?php

declare(strict_types=1);

namespace App\Sessions;

use App\People\User;
use App\Records\Record;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What whoever ran a session wants remembered at the next one. Each writes their own: nobody's words are written over.
 *
 * @property string $id
 * @property string $training_session_id
 * @property string|null $athlete_id null: of the squad
 * @property int $squad_id
 * @property string $text
 * @property int $written_by
 * @property Carbon|null $updated_at
 */
final class CoachNote extends Record
{
    /** @return BelongsTo<User, $this> */
    public function writer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'written_by');
    }

    /** @return BelongsTo<TrainingSession, $this> */
    public function trainingSession(): BelongsTo
    {
        return $this->belongsTo(TrainingSession::class);
    }
}
