<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Athletes\KeptRows;
use App\Athletes\Squad;
use App\Gates\Answers\GateRowView;
use App\Health\DayReadiness;
use App\Limits\AthleteLimits;
use App\Limits\AthleteLoads;
use App\Returns\ReturnsUnderWay;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\Attention;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\Watch;
use Augendo\Core\Instant;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryProblem;
use Augendo\Core\Readiness\Word;

/** The rows of Gates, one an athlete and ladder, without what other people said of them. */
final class GateRows
{
    public function __construct(private readonly Library $library, private readonly AthleteLoads $loads) {}

    /**
     * @param  array<string, int>  $revisions  by athlete id, read before what their rows are made from
     * @return array{array<string, string>, bool} by athlete id, JSON of a list of GateRowView; and whether all were kept
     */
    public function of(array $revisions, Squad $squad, Day $on): array
    {
        return $this->kept($squad, $on)->of($revisions, fn (array $athletes): array => $this->made($athletes, $squad, $on));
    }

    /** Keeps the rows of a squad that are not kept yet. */
    public function keep(Squad $squad, Day $on): void
    {
        $this->kept($squad, $on)->keepMissing(fn (array $athletes): array => $this->made($athletes, $squad, $on));
    }

    private function kept(Squad $squad, Day $on): KeptRows
    {
        return new KeptRows('gates', $squad, $on, $this->library);
    }

    /**
     * @param  non-empty-list<Athlete>  $athletes
     * @return array<string, list<GateRowView>> by athlete id
     */
    private function made(array $athletes, Squad $squad, Day $on): array
    {
        $loads = $this->loads->for($athletes, $on);
        $returns = new ReturnsUnderWay($athletes, $on);
        $limits = new AthleteLimits($athletes, $squad, $on, $returns);
        $health = new DayReadiness($athletes, $on);
        $standings = new Standings($athletes, $on, $this->library, $health);
        $rows = [];
        foreach ($athletes as $athlete) {
            $rows[$athlete->id] = [];
            $readiness = $health->readiness($athlete, $squad);
            foreach ($standings->placementsOf($athlete) as $placement) {
                $load = $loads[$athlete->id];
                try {
                    $gate = $standings->gate($athlete, $placement, $readiness, $load, $limits->of($athlete->id, $load));
                } catch (LibraryProblem) {
                    // Named above the rows, from what the library itself says.
                    continue;
                }
                $word = Standings::word($athlete, $standings->rung($placement), $readiness);
                $isReturning = $returns->open($athlete->id) !== null;
                $rows[$athlete->id][] = $this->row(
                    athlete: $athlete,
                    placement: $placement,
                    standings: $standings,
                    result: $gate,
                    word: $word,
                    isReturning: $isReturning,
                    on: $on,
                );
            }
        }

        return $rows;
    }

    private function row(
        Athlete $athlete, Placement $placement, Standings $standings, GateResult $result, Word $word, bool $isReturning, Day $on,
    ): GateRowView {
        $ladder = $standings->ladder($placement);
        $rung = $standings->rung($placement);
        $watch = Watch::of($rung->gate, $result->observed, $result->good);
        $missing = Wording::missing($result, $rung->gate, $word);

        return new GateRowView(
            athlete: Cards::athlete($athlete, $on),
            word: $word->value,
            rung: RungAnswers::rung($ladder, $rung),
            gate: RungAnswers::gate($result, $rung, $ladder->after($rung->id), $word, $standings->reps($athlete, $placement)),
            group: Attention::of($isReturning, $word, $result->decision, $watch)->value,
            why: $isReturning ? 'On the way back: its stages decide.' : ($missing[0] ?? null),
            opens: $watch->opens,
            steps_back: $watch->stepsBack,
            days: $on->daysSince(Instant::of($placement->entered_at)->day),
            agreement: null,
            match_ready: null,
        );
    }
}
