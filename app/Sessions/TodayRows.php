<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Answers\RungRefView;
use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Athletes\KeptRows;
use App\Athletes\Squad;
use App\Gates\Placement;
use App\Gates\RungAnswers;
use App\Gates\Standings;
use App\Health\DayReadiness;
use App\Health\ReadinessAnswers;
use App\Limits\AthleteLimits;
use App\Limits\AthleteLoad;
use App\Limits\AthleteLoads;
use App\Limits\Tapes;
use App\Returns\PlayReturn;
use App\Returns\ReturnRefs;
use App\Returns\ReturnsUnderWay;
use App\Sessions\Answers\SheetRefView;
use App\Sessions\Answers\TodayRowView;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryProblem;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Limits\Status;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Readiness\Readiness;
use Illuminate\Support\Facades\DB;

/** The rows of Today, one an athlete. */
final class TodayRows
{
    public function __construct(private readonly Library $library, private readonly AthleteLoads $loads) {}

    /**
     * @param  array<string, int>  $revisions  by athlete id, read before what their rows are made from
     * @return array{array<string, string>, bool} by athlete id, JSON of a TodayRowView; and whether all were kept
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
        return new KeptRows('today', $squad, $on, $this->library);
    }

    /**
     * @param  non-empty-list<Athlete>  $athletes
     * @return array<string, TodayRowView> by athlete id
     */
    private function made(array $athletes, Squad $squad, Day $on): array
    {
        $returns = new ReturnsUnderWay($athletes, $on);
        $limits = new AthleteLimits($athletes, $squad, $on, $returns);
        $loads = $this->loads->for($athletes, $on);
        $readiness = new DayReadiness($athletes, $on);
        $ladders = new Standings($athletes, $on, $this->library, $readiness);
        $sheets = SheetRefs::for(array_keys($loads), $on, $on, $on);
        $ladderOf = DB::table('sheets')
            ->whereIn('athlete_id', array_keys($loads))
            ->where('held_on', $on->iso())
            ->pluck('ladder', 'id')
            ->all();
        $rows = [];
        foreach ($athletes as $athlete) {
            $rows[$athlete->id] = $this->row(
                athlete: $athlete,
                on: $on,
                squad: $squad,
                load: $loads[$athlete->id],
                book: $readiness,
                ladders: $ladders,
                limits: $limits->of($athlete->id, $loads[$athlete->id]),
                returns: $returns,
                sheet: $this->next($sheets[$athlete->id] ?? []),
                ladderOf: $ladderOf,
            );
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

    /**
     * @param  array<string, string>  $ladderOf  ladder by sheet id
     */
    private function row(
        Athlete $athlete, Day $on, Squad $squad, AthleteLoad $load, DayReadiness $book, Standings $ladders,
        LimitCalendar $limits, ReturnsUnderWay $returns,
        ?SheetRefView $sheet, array $ladderOf,
    ): TodayRowView {
        $readiness = $book->readiness($athlete, $squad);
        $board = $limits->board($on, $load->record);
        $plan = $load->plansOn($on);
        $states = $board->states($plan);
        $placement = $this->placement($ladders->placementsOf($athlete), $sheet === null ? null : $ladderOf[$sheet->id]);
        $rung = $gate = null;
        $return = $returns->open($athlete->id);
        $headroom = 'No ladder yet: place the athlete first.';
        $binding = [];
        if ($placement !== null) {
            try {
                $ladder = $ladders->ladder($placement);
                $standing = $ladders->rung($placement);
                $rung = RungAnswers::rung($ladder, $standing);
                if ($return !== null) {
                    return $this->onTheWayBack(
                        athlete: $athlete,
                        on: $on,
                        readiness: $readiness,
                        states: $states,
                        rung: $rung,
                        sheet: $sheet,
                        return: $return,
                        returns: $returns,
                    );
                }
                $word = Standings::word($athlete, $standing, $readiness);
                $gate = RungAnswers::gate(
                    $ladders->gate($athlete, $placement, $readiness, $load, $limits), $standing, $ladder->after($standing->id),
                    $word, $ladders->reps($athlete, $placement),
                );
                $dose = BlockPlan::asAsked($standing->ownDose());
                $left = $board->headroom($dose->oneRep($on, $sheet->id ?? 'today', $load->price), $plan);
                $headroom = $word->allowsWork() ? Wording::headroom($left, $dose) : 'Nothing for this part today.';
                $binding = $left->binding;
            } catch (LibraryProblem $problem) {
                $headroom = "library/{$problem->libraryFile} cannot be read: no gate and no dose until it is mended.";
            }
        }

        return new TodayRowView(
            athlete: Cards::athlete($athlete, $on),
            word: $readiness->word->value,
            why: ReadinessAnswers::why($readiness),
            channels: ReadinessAnswers::channels($readiness),
            tape: Tapes::leading($states, $binding, $on),
            headroom: $headroom,
            near: self::isNear($states),
            rung: $rung,
            gate: $gate,
            sheet: $sheet,
            referrals: count($readiness->openReferrals),
            return: null,
        );
    }

    /**
     * On the way back the stages decide, not the ladder: no gate, and no headroom of a dose that is not theirs.
     *
     * @param  list<LimitState>  $states
     */
    private function onTheWayBack(
        Athlete $athlete, Day $on, Readiness $readiness, array $states, RungRefView $rung, ?SheetRefView $sheet,
        PlayReturn $return, ReturnsUnderWay $returns,
    ): TodayRowView {
        $tape = Tapes::leading($states, [], $on);

        return new TodayRowView(
            athlete: Cards::athlete($athlete, $on),
            word: $readiness->word->value,
            why: ReadinessAnswers::why($readiness),
            channels: ReadinessAnswers::channels($readiness),
            tape: $tape,
            headroom: $tape === null ? 'No limit is in play.' : "{$tape->label}: {$tape->sentence}",
            near: self::isNear($states),
            rung: $rung,
            gate: null,
            sheet: $sheet,
            referrals: count($readiness->openReferrals),
            return: ReturnRefs::of($return, $athlete, $on, $returns->work($return, $readiness)),
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
