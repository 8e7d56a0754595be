<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\Audit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** A change of the plan is taken back as a whole, as long as nothing was built on it. */
final class TakeBackChange
{
    public static function by(User $by, SessionChange $change): void
    {
        Alone::inClub($change->squad->workspace_id, function () use ($by, $change): void {
            $change->refresh();
            if ($change->taken_back_at !== null) {
                // Asked twice, done once.
                return;
            }
            PlanChange::hold($change->sessionIds());
            self::refuseWhenBuiltOn($change);
            PlanChange::putBack($change, $by);
            $change->update(['taken_back_at' => Carbon::now()]);
            Audit::of($by, null, "session {$change->kind->value} taken back", ['day' => $change->about['day']]);
        });
    }

    /** @throws Problem when somebody counted in it since, or changed it again */
    private static function refuseWhenBuiltOn(SessionChange $change): void
    {
        $ids = $change->sessionIds();
        // Who counted before a session was only renamed has not built on it.
        $moves = array_filter($change->before['sessions'], function (array $was): bool {
            $now = TrainingSession::query()->find($was['id']);

            return $now !== null && ($now->state->value !== $was['state'] || $now->day()->iso() !== substr($was['held_on'], 0, 10));
        });
        $mustBeUncounted = [...array_column($moves, 'id'), ...$change->before['made']];
        $counted = Sheet::query()->whereIn('state', ['running', 'finished'])->where(fn ($sheets) => $sheets
            ->whereIn('training_session_id', $mustBeUncounted)
            ->orWhereIn('id', [...$change->before['made_sheets'], ...array_column($change->before['sheets'], 'id')]));
        if ($counted->exists()) {
            throw new Problem(
                ProblemType::TooLateToTakeBack,
                'Somebody has counted in it since: what was done stays where it was done. Close the session, or change it anew.',
            );
        }
        foreach ($change->before['doses'] ?? [] as $kept) {
            self::refuseWhenCountedOn($kept);
        }
        $later = SessionChange::query()
            ->where('squad_id', $change->squad_id)
            ->whereNull('taken_back_at')
            ->where('made_at', '>=', $change->made_at)
            ->where('id', '!=', $change->id)
            ->get();
        foreach ($later as $other) {
            if ($other->isLaterThan($change) && array_intersect($other->sessionIds(), $ids) !== []) {
                throw new Problem(ProblemType::TooLateToTakeBack, 'It was changed again since. Take the later change back first.');
            }
        }
    }

    /**
     * @param  array{sheet: array<string, mixed>, blocks: list<array<string, mixed>>, version: int}  $kept  doses of a sheet that was begun
     *
     * @throws Problem when what came in their place was counted, or changed
     */
    private static function refuseWhenCountedOn(array $kept): void
    {
        $sheet = Sheet::query()->find($kept['sheet']['id']);
        if ($sheet === null || $sheet->state === 'finished' || $sheet->version !== $kept['version']) {
            throw new Problem(ProblemType::TooLateToTakeBack, 'The sheet was changed or finished since. Change its doses instead.');
        }
        $new = DB::table('rep_events')->where('sheet_id', $sheet->id)->whereNotIn('block_id', array_column($kept['blocks'], 'id'));
        if ($new->exists()) {
            throw new Problem(
                ProblemType::TooLateToTakeBack,
                'Somebody has counted in it since: what was done stays where it was done. Change the doses instead.',
            );
        }
    }
}
