<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Athletes\AthletesDay;
use App\Athletes\Cards;
use App\Athletes\MakesRows;
use App\Gates\Answers\GateRowView;
use App\Wording\Wording;
use Augendo\Core\Gates\Attention;
use Augendo\Core\Gates\Watch;
use Augendo\Core\Instant;
use Augendo\Core\Library\LibraryProblem;

/** The rows of Gates, one an athlete and ladder, without what other people said of them. */
final class GateRows implements MakesRows
{
    public function screen(): string
    {
        return 'gates';
    }

    /** @return array<string, list<GateRowView>> by athlete id; a ladder whose file cannot be read has no row, and is named above them */
    public function made(AthletesDay $day): array
    {
        $rows = [];
        foreach ($day->athletes as $athlete) {
            $rows[$athlete->id] = [];
            foreach ($day->standings->placementsOf($athlete) as $placement) {
                try {
                    $rows[$athlete->id][] = $this->row($athlete, $placement, $day);
                } catch (LibraryProblem) {
                    continue;
                }
            }
        }

        return $rows;
    }

    private function row(Athlete $athlete, Placement $placement, AthletesDay $day): GateRowView
    {
        $ladder = $day->standings->ladder($placement);
        $rung = $day->standings->rung($placement);
        $result = $day->gate($athlete, $placement);
        $word = Standings::word($athlete, $rung, $day->readiness($athlete));
        $watch = Watch::of($rung->gate, $result->observed, $result->good);
        $missing = Wording::missing($result, $rung->gate, $word);
        $isReturning = $day->returns->open($athlete->id) !== null;

        return new GateRowView(
            athlete: Cards::athlete($athlete, $day->on),
            word: $word->value,
            rung: RungAnswers::rung($ladder, $rung),
            gate: RungAnswers::gate(
                result: $result,
                rung: $rung,
                next: $ladder->after($rung->id),
                athlete: $athlete,
                readiness: $day->readiness($athlete),
                reps: $day->standings->reps($athlete, $placement),
            ),
            group: Attention::of($isReturning, $word, $result->decision, $watch)->value,
            why: $isReturning ? 'On the way back: its stages decide.' : ($missing[0] ?? null),
            opens: $watch->opens,
            steps_back: $watch->stepsBack,
            days: $day->on->daysSince(Instant::of($placement->entered_at)->day),
            agreement: null,
            match_ready: null,
        );
    }
}
