<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\AthletesDay;
use App\Athletes\Cards;
use App\Athletes\MakesRows;
use App\Gates\Placement;
use App\Gates\RungAnswers;
use App\Gates\Standings;
use App\Health\ReadinessAnswers;
use App\Limits\Tapes;
use App\Returns\ReturnRefs;
use App\Sessions\Answers\SheetRefView;
use App\Sessions\Answers\TodayRowView;
use App\Wording\AwayWording;
use App\Wording\Wording;
use Augendo\Core\Gates\Attention;
use Augendo\Core\Gates\GateDecision;
use Augendo\Core\Library\LibraryProblem;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Limits\Status;
use Augendo\Core\Planning\BlockPlan;
use Illuminate\Support\Facades\DB;

/** The rows of Today, one an athlete. */
final class TodayRows implements MakesRows
{
    public function screen(): string
    {
        return 'today';
    }

    /** @return array<string, TodayRowView> by athlete id */
    public function made(AthletesDay $day): array
    {
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $day->athletes);
        $sheets = SheetRefs::for($ids, $day->on, $day->on, $day->on);
        $ladderOf = DB::table('sheets')->whereIn('athlete_id', $ids)->where('held_on', $day->on->iso())->pluck('ladder', 'id')->all();
        $rows = [];
        foreach ($day->athletes as $athlete) {
            $sheet = $this->next($sheets[$athlete->id] ?? []);
            $rows[$athlete->id] = $this->row($athlete, $day, $sheet, $sheet === null ? null : $ladderOf[$sheet->id]);
        }

        return $rows;
    }

    /** @param  list<SheetRefView>  $sheets the first that is not finished, else the last */
    private function next(array $sheets): ?SheetRefView
    {
        foreach ($sheets as $sheet) {
            if ($sheet->state !== 'finished') {
                return $sheet;
            }
        }

        return $sheets === [] ? null : $sheets[count($sheets) - 1];
    }

    /** @param  string|null  $ladder  that today's session is on */
    private function row(Athlete $athlete, AthletesDay $day, ?SheetRefView $sheet, ?string $ladder): TodayRowView
    {
        $on = $day->on;
        $load = $day->loads[$athlete->id];
        $readiness = $day->readiness($athlete);
        $away = $day->health->dated->away($athlete->id, $on);
        $board = $day->limits($athlete)->board($on, $load->record);
        $plan = $load->plansOn($on);
        $states = $board->states($plan);
        $placement = $this->placement($day->standings->placementsOf($athlete), $ladder);
        $rung = $gate = $wayBack = null;
        $headroom = 'No ladder yet: place the athlete first.';
        $binding = [];
        if ($placement !== null) {
            try {
                $ladder = $day->standings->ladder($placement);
                $standing = $day->standings->rung($placement);
                $rung = RungAnswers::rung($ladder, $standing);
                $return = $day->returns->open($athlete->id);
                if ($return !== null) {
                    // The stages decide, not the ladder: no gate, and no headroom of a dose that is not theirs.
                    $wayBack = ReturnRefs::of($return, $athlete, $on, $day->returns->work($return, $readiness));
                } else {
                    $word = Standings::word($athlete, $standing, $readiness);
                    $gate = RungAnswers::gate(
                        result: $day->gate($athlete, $placement),
                        rung: $standing,
                        next: $ladder->after($standing->id),
                        athlete: $athlete,
                        readiness: $readiness,
                        reps: $day->standings->reps($athlete, $placement),
                    );
                    $dose = BlockPlan::asAsked($standing->ownDose());
                    $left = $board->headroom($dose->oneRep($on, $sheet->id ?? 'today', $load->price), $plan);
                    $headroom = $word->allowsWork() ? Wording::headroom($left, $dose) : 'Nothing for this part today.';
                    $binding = $left->binding;
                }
            } catch (LibraryProblem $problem) {
                $headroom = "library/{$problem->libraryFile} cannot be read: no gate and no dose until it is mended.";
            }
        }
        $tape = Tapes::leading($states, $binding, $on);
        if ($wayBack !== null) {
            $headroom = $tape === null ? 'No limit is in play.' : "{$tape->label}: {$tape->sentence}";
        }

        $near = self::isNear($states);
        $incidents = $day->health->dated->openIncidents($athlete->id);

        return new TodayRowView(
            athlete: Cards::athlete($athlete, $on),
            word: $readiness->word->value,
            why: ReadinessAnswers::why($readiness),
            channels: ReadinessAnswers::channels($readiness),
            tape: $tape,
            headroom: $headroom,
            near: $near,
            rung: $rung,
            gate: $gate,
            sheet: $sheet,
            referrals: count($readiness->openReferrals),
            away: $away === null ? null : AwayWording::absence($away, $on),
            incidents: $incidents,
            needs_coach: Attention::isNeededToday(
                $readiness, $gate === null ? null : GateDecision::from($gate->decision), $near, $away !== null, $incidents,
            ),
            return: $wayBack,
        );
    }

    /** @param  list<LimitState>  $states */
    private static function isNear(array $states): bool
    {
        return array_filter(
            $states,
            fn (LimitState $state): bool => $state->limit->isHard() && ($state->status === Status::Near || $state->isOver()),
        ) !== [];
    }

    /** @param  array<string, Placement>  $placements of the ladder today’s session is on, else the first */
    private function placement(array $placements, ?string $ladder): ?Placement
    {
        return $placements[$ladder ?? ''] ?? (array_values($placements)[0] ?? null);
    }
}
