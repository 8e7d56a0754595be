<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Courtside\Answers\AfterView;
use App\Courtside\Answers\FaultView;
use App\Courtside\Answers\GroupingView;
use App\Gates\Agreements;
use App\Gates\HelpedScreen;
use App\Gates\JudgedEvidence;
use App\Gates\NewcomerPlace;
use App\Gates\Placement;
use App\Gates\Progress;
use App\Gates\RungAnswers;
use App\Health\DayReadiness;
use App\Limits\Tapes;
use App\People\User;
use App\Returns\ReturnRefs;
use App\Sessions\OpenSheet;
use App\Sessions\Sheet;
use App\Sessions\SheetRefs;
use App\Wording\JudgingWording;
use App\Wording\Wording;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Library;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\FocusPoints;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\Nudge;
use Augendo\Core\Mechanics\WhatHelped;
use Augendo\Core\Readiness\Grown;
use Augendo\Core\Scoring\Grouping;

/** What happened, what next, what to tell them. */
final class AfterScreen
{
    public function __construct(
        private readonly RepLog $log,
        private readonly Library $library,
        private readonly Progress $progress,
        private readonly NewcomerPlace $place,
    ) {}

    public function view(OpenSheet $open, User $user): AfterView
    {
        $sheet = $open->sheet;
        $today = $user->workspace->today();
        $reps = JudgedEvidence::of($sheet, $this->log->safetyFaults($sheet));
        $rung = $open->rung();
        $pattern = FaultPattern::leading($reps, $rung->pairs());
        $fault = $pattern === null ? null : $rung->fault($pattern->fault);
        $mirror = $open->side()->mirror(...);

        $day = new AthleteDay($open->athlete, $today, $open->squad);
        [$readiness, $ladders, $load, $limits] = [$day->readiness, $day->ladders, $day->load, $day->limits];
        $placement = $ladders->placementsOf($open->athlete)[$sheet->ladder] ?? new Placement([
            'athlete_id' => $open->athlete->id, 'ladder' => $sheet->ladder, 'rung' => $sheet->rung, 'entered_at' => '1970-01-01T00:00:00Z',
        ]);
        $standingRung = $ladders->rung($placement);
        $ladder = $open->ladder();
        $next = $ladder->after($standingRung->id);
        $names = array_column(array_map(fn (Fault $each): array => [$each->id, $each->name], $rung->faults), 1, 0);
        $faults = array_count_values(
            array_map(
                fn (JudgedRep $rep): string => $names[$rep->fault] ?? (string) $rep->fault,
                array_filter($reps, fn (JudgedRep $rep): bool => $rep->fault !== null),
            ),
        );
        arsort($faults);
        $healthThen = new DayReadiness([$open->athlete], $open->day());

        return new AfterView(
            sheet: SheetRefs::one($sheet, $today),
            athlete: Cards::athlete($open->athlete, $today),
            good: count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good === true)),
            observed: count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good !== null)),
            unobserved: count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good === null)),
            strip: RepStrip::write($reps),
            pattern: $pattern === null || $fault === null ? null : JudgingWording::pattern($pattern, $fault),
            cue: $fault === null ? null : $mirror($fault->cue),
            drill: $fault === null ? null : $mirror($fault->drill),
            faults: (object) $faults,
            tags: JudgingWording::tags($rung->tags, TapFold::tags($sheet->taps()), $open->side()),
            gate: RungAnswers::gate(
                result: $ladders->gate($open->athlete, $placement, $readiness, $load, $limits),
                rung: $standingRung,
                next: $next,
                athlete: $open->athlete,
                readiness: $readiness,
                reps: $ladders->reps($open->athlete, $placement),
            ),
            rung: RungAnswers::rung($ladder, $standingRung),
            next_rung: $next?->id,
            previous_rung: $ladder->before($standingRung->id)?->id,
            tapes: Tapes::inPlay($limits->board($today, $load->record)->states($load->plansOn($today)), $today),
            tomorrow: 'Ask tomorrow morning: anything sore, and where? Without that report '.(
                $sheet->return_stage === null ? 'the gate stays shut.' : 'the return waits.'
            ),
            return: $sheet->return_stage === null ? null : ReturnRefs::ofSheet(OpenSheet::of($sheet), $today),
            nudge: self::nudge($reps, $names),
            focus: array_map(
                fn (Fault $each): FaultView => FaultView::of($each, $open->side(), $open->figures()),
                FocusPoints::of([...$open->seenLast(), ...$reps], $rung->faults, $open->asked()),
            ),
            progress: $this->progress->progress($open->athlete, $sheet->ladder, $today),
            grouping: self::grouping($sheet),
            rounds: app(BlockRounds::class)->view($sheet, Games::of($open->athlete, $sheet->ladder)),
            helped: self::helped($sheet),
            felt: self::felt($sheet),
            grew: array_map(Wording::report(...), Grown::during($healthThen->today($open->athlete))),
            after_stop: CourtsideScreen::afterStop($open, $healthThen),
            went_on: $sheet->events
                ->where('kind', 'going_on')
                ->map(fn (RepEvent $event): string => substr($event->at, 11, 5).", {$event->note}.")
                ->values()
                ->all(),
            conflicts: Conflicts::of($sheet, $user),
            set_length: $this->progress->setLength($open->athlete, $sheet->ladder, $open->squad, $today),
            agreement: (new Agreements([$open->athlete->id], $today, $this->library))->sentenceOn($open->athlete->id,
                $sheet->ladder,
                $standingRung->id,
            ),
            placing: $this->place->answer($open->athlete, $sheet->ladder),
            counts: BlockCounts::of($sheet),
            corrections: Corrections::ofSheet($sheet, $user),
            entered_late: $sheet->trainingSession->entered_late,
            // One that waited held what was reached, which is judged.
            was_test: $sheet->isTestDay() && $sheet->blocks->where('judged', true)->isEmpty(),
            may_correct: $user->can('plan', $sheet) && ! $open->isAhead() && $sheet->state !== Sheet::CALLED_OFF,
        );
    }

    private static function grouping(Sheet $sheet): ?GroupingView
    {
        $points = TapFold::landed($sheet->taps());

        return count($points) < Grouping::LEAST_POINTS ? null : ScoreScreen::grouping($points);
    }

    /** What was tried this time that went with the better repetitions, if anything did. */
    private static function helped(Sheet $sheet): ?string
    {
        $judged = $sheet->blocks->where('judged', true)->pluck('id')->all();
        $reps = array_values(array_map(
            fn (Tap $rep): array => [$rep->verdict === 'good', HelpedScreen::tried($rep)],
            array_filter(
                TapFold::standing($sheet->taps()),
                fn (Tap $rep): bool => in_array($rep->blockId, $judged, true) && in_array($rep->verdict, ['good', 'not_good'], true),
            ),
        ));
        $best = null;
        foreach (array_unique(array_merge([], ...array_column($reps, 1))) as $tried) {
            $helped = WhatHelped::of($reps, $tried);
            if ($helped !== null && $helped->says === 'better' && ($best === null || $helped->difference > $best[1]->difference)) {
                $best = [$tried, $helped];
            }
        }

        return $best === null
            ? null
            : "“{$best[0]}”: {$best[1]->good} of {$best[1]->n} good with it, {$best[1]->otherGood} of {$best[1]->otherN} without.";
    }

    /** @return list<string> sets whose felt effort somebody told, against the effort asked */
    private static function felt(Sheet $sheet): array
    {
        $felt = [];
        foreach ($sheet->events->where('kind', 'felt') as $event) {
            $felt["{$event->block_id}|{$event->set_no}"] = $event;
        }
        $asked = collect(TapFold::standing($sheet->taps()))->groupBy(fn (Tap $rep): string => $rep->set());

        return array_values(array_filter(array_map(function (RepEvent $event, string $set) use ($sheet, $asked): ?string {
            $block = $sheet->blocks->firstWhere('id', $event->block_id);
            $effort = $asked->get($set)?->avg('effort');

            return $block === null || $effort === null
                ? null
                : "{$block->title}, set {$event->set_no}: asked "
                    .Wording::percent((float) $effort)
                    .', felt '
                    .Wording::percent((float) $event->effort)
                    .'.';
        }, $felt, array_keys($felt))));
    }

    /**
     * @param  list<JudgedRep>  $reps
     * @param  array<string, string>  $names  of the rung's faults
     */
    private static function nudge(array $reps, array $names): ?string
    {
        $nudge = Nudge::of($reps);

        return match ($nudge[0] ?? null) {
            'falls' => 'Quality fell towards the end: the last ten lay '
                .round(100 * (float) $nudge[1])
                .' points below the best ten. A shorter set next time.',
            'returns' => '“'
                .($names[$nudge[1]] ?? $nudge[1])
                .'” was back in three of the last five: one rung back, or drill and whole in turn.',
            default => null,
        };
    }
}
