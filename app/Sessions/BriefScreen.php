<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Cards;
use App\Health\DayReadiness;
use App\People\User;
use App\Sessions\Answers\BriefRowView;
use App\Sessions\Answers\BriefView;
use App\Sessions\Answers\CoachNoteView;
use App\Sessions\Answers\DoseLineView;
use App\Wording\BriefWording;
use App\Wording\JudgingWording;
use Augendo\Core\Library\Fault;
use Augendo\Core\Planning\BlockPlan;

/** A session for whoever stands in. */
final class BriefScreen
{
    public static function view(TrainingSession $session, User $user): BriefView
    {
        $sheets = Stations::open($session, $user)->sheets();
        $athletes = $sheets->pluck('athlete')->all();
        $health = new DayReadiness($athletes, $session->day());
        $ids = $sheets->pluck('athlete_id')->all();
        $before = CoachNotes::before($session, $ids, $user);
        $rows = $cautions = [];
        foreach ($sheets->sortBy(fn (Sheet $sheet): string => $sheet->athlete->given_name) as $sheet) {
            $open = OpenSheet::of($sheet);
            $cautions = [...$cautions, ...$open->ladder()->cautions];
            $rows[] = new BriefRowView(
                sheet_id: $sheet->id,
                athlete: Cards::athlete($sheet->athlete, $session->day()),
                rung_name: $open->rung()->name,
                goal: $open->side()->mirror($open->rung()->goal),
                doses: self::doses($open),
                look_for: self::lookFor($open),
                must_not: $open->isAhead()
                    ? []
                    : BriefWording::mustNot(
                        $health->readiness($sheet->athlete, $session->squad), $open->resting(), $sheet->return_stage !== null,
                    ),
                before: self::about($before, $sheet->athlete_id),
            );
        }

        return new BriefView(
            session_id: $session->id,
            title: $session->title,
            day: $session->day()->iso(),
            starts_at: $session->starts_at,
            place: $session->place,
            rows: $rows,
            before: self::about($before, null),
            notes: CoachNotes::at($session, $user),
            cautions: array_values(array_unique($cautions)),
        );
    }

    /**
     * @param  list<CoachNoteView>  $notes
     * @return list<CoachNoteView>
     */
    private static function about(array $notes, ?string $athleteId): array
    {
        return array_values(array_filter($notes, fn (CoachNoteView $note): bool => $note->athlete_id === $athleteId));
    }

    /** @return list<DoseLineView> */
    private static function doses(OpenSheet $open): array
    {
        $working = array_filter($open->plans(), fn (BlockPlan $plan): bool => ! $plan->isDropped());

        return array_values(array_map(
            DoseLine::of(...),
            $working,
        ));
    }

    /** @return list<string> the faults worked on with their cue; where there is none, what good looks like */
    private static function lookFor(OpenSheet $open): array
    {
        $mirror = $open->side()->mirror(...);
        $focus = array_map(fn (Fault $fault): string => "{$fault->name}: “{$mirror($fault->cue)}”", $open->focus());

        return $focus !== [] ? $focus : JudgingWording::lookFor($open->rung(), $mirror);
    }
}
