<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\LibraryProblemView;
use App\Http\Views\RungRefView;
use App\Http\Views\SheetRefView;
use App\Http\Views\TodayRowView;
use App\Http\Views\TodayView;
use App\Models\Athlete;
use App\Models\Placement;
use App\Models\PlayReturn;
use App\Models\Squad;
use App\Models\User;
use App\Records\AthleteLoad;
use App\Records\LadderBook;
use App\Records\LimitBook;
use App\Records\LoadBook;
use App\Records\ReadinessBook;
use App\Records\ReturnBook;
use App\Records\RuleSetBook;
use App\Records\SheetDesk;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryProblem;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Limits\Status;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Readiness\Readiness;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** Who may do what today, and who is missing. */
final class TodayScreen
{
    public function __construct(
        private readonly Library $library,
        private readonly LoadBook $loadBook,
        private readonly RuleSetBook $ruleSets,
    ) {}

    public function view(User $user, Squad $squad): TodayView
    {
        $on = $user->workspace->today();
        $athletes = $squad->athletes()->whereIn('athletes.id', $user->visibleAthletes()->select('athletes.id'))->get()->all();
        $kept = new KeptRows($squad, $on, $this->library);
        $rows = $kept->read($athletes);
        $missing = array_values(array_filter($athletes, fn (Athlete $athlete): bool => ! isset($rows[$athlete->id])));
        if ($missing !== []) {
            $made = $this->rows($missing, $squad, $on);
            $kept->keep($missing, $made);
            $rows = [...$rows, ...$made];
        }
        $about = $this->aboutLibrary($squad);

        return new TodayView(
            $on->iso(), Parts::squad($squad),
            Parts::squads($user),
            $about['name'], $about['notice'],
            DB::table('sheets')
                ->where('stale', true)
                ->where('state', 'planned')
                ->where('edited', false)
                ->whereIn('athlete_id', array_map(fn (Athlete $athlete): string => $athlete->id, $athletes))
                ->count(),
            array_map(fn (array $problem): LibraryProblemView => new LibraryProblemView(...$problem), $about['problems']),
            array_map(fn (Athlete $athlete): TodayRowView|\stdClass => $rows[$athlete->id], $athletes),
        );
    }

    /**
     * @param  non-empty-list<Athlete>  $athletes
     * @return array<string, TodayRowView> by athlete id
     */
    private function rows(array $athletes, Squad $squad, Day $on): array
    {
        SheetDesk::freshen(array_map(fn (Athlete $athlete): string => $athlete->id, $athletes), $on);
        $returns = new ReturnBook($athletes, $on);
        $limits = new LimitBook($athletes, $squad, $on, $returns);
        $loads = $this->loadBook->for($athletes, $on);
        $readiness = new ReadinessBook($athletes, $on);
        $ladders = new LadderBook($athletes, $on, $this->library, $readiness);
        $sheets = SheetRefs::for(array_keys($loads), $on->iso(), $on->iso());
        $ladderOf = DB::table('sheets')
            ->whereIn('athlete_id', array_keys($loads))
            ->where('held_on', $on->iso())
            ->pluck('ladder', 'id')
            ->all();
        $rows = [];
        foreach ($athletes as $athlete) {
            $rows[$athlete->id] = $this->row(
                $athlete, $on, $squad, $loads[$athlete->id], $readiness, $ladders,
                $limits->of($athlete->id, $loads[$athlete->id]), $returns, $this->next($sheets[$athlete->id] ?? []),
                $ladderOf,
            );
        }

        return $rows;
    }

    /** @return array{name: string, notice: string, problems: list<array{string, string, string}>} read anew when a library file changes */
    private function aboutLibrary(Squad $squad): array
    {
        return Cache::rememberForever("library.{$this->library->fingerprint()}.{$this->ruleSets->versionOf($squad)}.".config(
            'app.build',
        ), function () use ($squad): array {
            $ruleSet = $this->ruleSets->of($squad);

            return ['name' => $ruleSet->name, 'notice' => $ruleSet->notice, 'problems' => array_map(
                fn (LibraryProblem $problem): array => [$problem->libraryFile, $problem->path, $problem->getMessage()],
                $this->library->problems(),
            )];
        });
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
        Athlete $athlete, Day $on, Squad $squad, AthleteLoad $load, ReadinessBook $book, LadderBook $ladders,
        LimitCalendar $limits, ReturnBook $returns,
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
                $rung = Parts::rung($ladder, $standing);
                if ($return !== null) {
                    return $this->onTheWayBack($athlete, $on, $readiness, $states, $rung, $sheet, $return, $returns);
                }
                $word = LadderBook::word($athlete, $standing, $readiness);
                $gate = Parts::gate(
                    $ladders->gate($athlete, $placement, $readiness, $load, $limits), $standing, $ladder->after($standing->id),
                    $word, $ladders->reps($athlete, $placement),
                );
                $dose = BlockPlan::asAsked($standing->ownDose());
                $left = $board->headroom($dose->oneRep($on, $sheet->id ?? 'today', $load->price), $plan);
                $headroom = $word->allowsWork() ? Wording::headroom($left, $dose) : 'Not this work today: '.Wording::word($word).'.';
                $binding = $left->binding;
            } catch (LibraryProblem $problem) {
                $headroom = "library/{$problem->libraryFile} cannot be read: no gate and no dose until it is mended.";
            }
        }

        return new TodayRowView(
            Parts::athlete($athlete, $on), $readiness->word->value, Parts::why($readiness), Parts::channels($readiness),
            Tapes::leading($states, $binding, $on), $headroom,
            self::isNear($states),
            $rung, $gate, $sheet, count($readiness->openReferrals),
            null,
        );
    }

    /**
     * On the way back the stages decide, not the ladder: no gate, and no headroom of a dose that is not theirs.
     *
     * @param  list<LimitState>  $states
     */
    private function onTheWayBack(
        Athlete $athlete, Day $on, Readiness $readiness, array $states, RungRefView $rung, ?SheetRefView $sheet,
        PlayReturn $return, ReturnBook $returns,
    ): TodayRowView {
        $tape = Tapes::leading($states, [], $on);

        return new TodayRowView(
            Parts::athlete($athlete, $on), $readiness->word->value, Parts::why($readiness), Parts::channels($readiness), $tape,
            $tape === null ? 'No limit is in play.' : "{$tape->label}: {$tape->sentence}", self::isNear($states),
            $rung, null, $sheet, count($readiness->openReferrals),
            ReturnScreen::ref($return, $athlete, $on, $returns->work($return, $readiness)),
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
