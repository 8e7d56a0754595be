<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Athletes\AthletesDay;
use App\Courtside\Answers\DecidedTogetherView;
use App\Gates\DecideRung;
use App\People\User;
use App\Records\Alone;
use App\Records\Sent;
use App\Sessions\FinishSheet;
use App\Sessions\Sheet;
use App\Sessions\Stations;
use App\Sessions\TrainingSession;
use Augendo\Core\Gates\GateDecision;

/** The end of a session for all who were counted: once for everybody, changed where somebody differs. */
final class FinishTogether
{
    public function __construct(private readonly DecideRung $decide) {}

    /**
     * Whoever is finished already keeps what was said then, unless it is said again for that one.
     *
     * @param  array{
     *     minutes: int|null, session_rpe: int|null,
     *     differs: list<array{sheet_id: string, minutes: int|null, session_rpe: int|null}>,
     * }  $given
     */
    public function finish(TrainingSession $session, array $given, User $by): void
    {
        $differs = array_column($given['differs'], null, 'sheet_id');
        foreach (Stations::open($session, $by)->sheets() as $sheet) {
            $own = $differs[$sheet->id] ?? null;
            if ($sheet->state === 'running' || ($own !== null && $sheet->state === 'finished')) {
                FinishSheet::by($by, Sheet::query()->findOrFail($sheet->id), [
                    'minutes' => ($own ?? $given)['minutes'],
                    'session_rpe' => ($own ?? $given)['session_rpe'],
                ]);
            }
        }
    }

    /**
     * Repeats the rung for those of whom the gate proposes to stay on it, as long as nothing arrived since it was shown.
     *
     * @param  list<array{id: string, athlete_id: string, revision: int}>  $decisions
     */
    public function decide(TrainingSession $session, array $decisions, User $by): DecidedTogetherView
    {
        $sheets = Stations::open($session, $by)->sheets()->keyBy('athlete_id');
        $kept = 0;
        $changed = [];
        foreach ($decisions as $each) {
            $sheet = $sheets[$each['athlete_id']] ?? null;
            if ($sheet === null) {
                continue;
            }
            if (Sent::before('decisions', $each['id'], ['athlete_id' => $each['athlete_id']]) || $this->repeats($sheet, $each, $by)) {
                $kept++;
            } else {
                $changed[] = $sheet->athlete->given_name;
            }
        }

        return new DecidedTogetherView($kept, $changed);
    }

    /**
     * @param  array{id: string, athlete_id: string, revision: int}  $given
     * @return bool false: something arrived since, or the gate proposes what has to be looked at
     */
    private function repeats(Sheet $sheet, array $given, User $by): bool
    {
        return Alone::with($sheet->athlete_id, function () use ($sheet, $given, $by): bool {
            $athlete = Athlete::query()->findOrFail($sheet->athlete_id);
            $day = new AthletesDay([$athlete], $sheet->trainingSession->squad, $by->workspace->today());
            $placement = $day->standings->placementsOf($athlete)[$sheet->ladder] ?? null;
            if ($athlete->revision !== $given['revision'] || $placement === null || $day->returns->open($athlete->id) !== null) {
                return false;
            }
            if (! $day->gate($athlete, $placement)->decision->staysOnTheRung()) {
                return false;
            }
            $this->decide->decide($athlete, [
                'id' => $given['id'], 'ladder' => $sheet->ladder, 'rung' => $placement->rung, 'action' => GateDecision::Repeat->value,
            ], $by);

            return true;
        });
    }
}
