<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Answers\RungRefView;
use App\Athletes\Athlete;
use App\Courtside\RepStrip;
use App\Gates\Answers\CriterionView;
use App\Gates\Answers\GateView;
use App\Sessions\OpenSheet;
use App\Sessions\Sheet;
use App\Wording\Wording;
use Augendo\Core\Gates\Criterion;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Rung;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Readiness\Readiness;

/** Rungs, and gates held against their evidence, as every page shows them. */
final class RungAnswers
{
    public static function rung(Ladder $ladder, Rung $rung): RungRefView
    {
        return new RungRefView(
            ladder: $ladder->id,
            ladder_name: $ladder->name,
            rung: $rung->id,
            rung_name: $rung->name,
            position: (int) $ladder->position($rung->id) + 1,
            of: count($ladder->rungs),
        );
    }

    /** Where a sheet stands: on its rung, or on a stage of a return. */
    public static function rungOf(OpenSheet $open): RungRefView
    {
        $stage = $open->sheet->return_stage;
        if ($stage === null) {
            return self::rung($open->ladder(), $open->rung());
        }
        $programme = $open->sheet->playReturn()->firstOrFail()->programmeAsOpened();

        return new RungRefView(
            ladder: $open->ladder()->id,
            ladder_name: "way back: {$programme->name}",
            rung: $open->rung()->id,
            rung_name: $open->rung()->name,
            position: $stage + 1,
            of: count($programme->stages),
        );
    }

    /**
     * @param  list<JudgedRep>  $reps  of the rung, oldest first
     */
    public static function gate(
        GateResult $result, Rung $rung, ?Rung $next, Athlete $athlete, Readiness $readiness, array $reps,
    ): GateView {
        $word = Standings::word($athlete, $rung, $readiness);

        return new GateView(
            decision: $result->decision->value,
            headline: Wording::gateHeadline($result, $next?->name, $readiness->isIll()),
            missing: Wording::missing($result, $rung->gate, $word),
            criteria: array_map(fn (Criterion $criterion): CriterionView => new CriterionView(
                $criterion->value, Wording::criterion($criterion), $result->criteria[$criterion->value]->value,
                Wording::evidence($criterion, $result, $rung->gate, $word), $criterion->mayBeOverridden(),
            ), Criterion::cases()),
            observed: $result->observed,
            good: $result->good,
            rate: $result->rate,
            lower_bound: $result->lowerBound,
            strip: RepStrip::write(array_slice($reps, -10)),
        );
    }
}
