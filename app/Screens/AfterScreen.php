<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\AfterView;
use App\Http\Views\FaultView;
use App\Http\Views\GroupingView;
use App\Models\Placement;
use App\Models\RepEvent;
use App\Models\Sheet;
use App\Models\User;
use App\Records\AgreementBook;
use App\Records\AthleteDay;
use App\Records\LadderBook;
use App\Records\ReadinessBook;
use App\Records\RepLog;
use App\Records\RepStrip;
use App\Records\SheetDesk;
use App\Records\SheetEvents;
use App\Wording\Wording;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Library;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\FocusPoints;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\Nudge;
use Augendo\Core\Mechanics\WhatHelped;
use Augendo\Core\Readiness\Grown;

/** What happened, what next, what to tell them. */
final class AfterScreen
{
    private const LEAST_PLACES = 3;

    public function __construct(private readonly RepLog $log, private readonly Library $library, private readonly Seeing $seeing) {}

    public function view(SheetDesk $desk, User $user): AfterView
    {
        $sheet = $desk->sheet;
        $today = $user->workspace->today();
        $reps = SheetDesk::judgedReps($sheet, $this->log->safetyFaults($sheet));
        $pattern = FaultPattern::leading($reps);
        $rung = $desk->rung();
        $fault = $pattern === null ? null : $rung->fault($pattern->fault);
        $mirror = $desk->side()->mirror(...);

        $day = new AthleteDay($desk->athlete, $today, $desk->squad);
        [$readiness, $ladders, $load, $limits] = [$day->readiness, $day->ladders, $day->load, $day->limits];
        $placement = $ladders->placementsOf($desk->athlete)[$sheet->ladder] ?? new Placement([
            'athlete_id' => $desk->athlete->id, 'ladder' => $sheet->ladder, 'rung' => $sheet->rung, 'entered_at' => '1970-01-01T00:00:00Z',
        ]);
        $standingRung = $ladders->rung($placement);
        $ladder = $desk->ladder();
        $next = $ladder->after($standingRung->id);
        $names = array_column(array_map(fn (Fault $each): array => [$each->id, $each->name], $rung->faults), 1, 0);
        $faults = array_count_values(
            array_map(
                fn (JudgedRep $rep): string => $names[$rep->fault] ?? (string) $rep->fault,
                array_filter($reps, fn (JudgedRep $rep): bool => $rep->fault !== null),
            ),
        );
        arsort($faults);
        $healthThen = new ReadinessBook([$desk->athlete], $desk->day());

        return new AfterView(
            SheetRefs::one($sheet->id), Parts::athlete($desk->athlete, $today),
            count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good === true)),
            count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good !== null)),
            count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good === null)),
            RepStrip::write($reps),
            $pattern === null || $fault === null ? null : "{$pattern->times} of the last {$pattern->faults} faults: {$fault->name}.",
            $fault === null ? null : $mirror($fault->cue), $fault === null ? null : $mirror($fault->drill), (object) $faults,
            Parts::gate(
                $ladders->gate($desk->athlete, $placement, $readiness, $load, $limits), $standingRung, $next,
                LadderBook::word($desk->athlete, $standingRung, $readiness), $ladders->reps($desk->athlete, $placement),
            ),
            Parts::rung($ladder, $standingRung), $next?->id, $ladder->before($standingRung->id)?->id,
            Tapes::inPlay($limits->board($today, $load->record)->states($load->plansOn($today)), $today),
            'Ask tomorrow morning: anything sore, and where? Without that report '.(
                $sheet->return_stage === null ? 'the gate stays shut.' : 'the return waits.'
            ),
            $sheet->return_stage === null ? null : Parts::returnOf(SheetDesk::open($sheet), $today),
            self::nudge($reps, $names),
            array_map(
                fn (Fault $each): FaultView => new FaultView(
                    $each->id, $each->name, $mirror($each->cue), $mirror($each->drill), $each->safety,
                    $each->checkpoint,
                ),
                FocusPoints::of([...$desk->seenLast(), ...$reps], $rung->faults),
            ),
            $this->seeing->progress($desk->athlete, $sheet->ladder, $today), self::grouping($sheet),
            self::helped($sheet), self::felt($sheet),
            array_map(Wording::report(...), Grown::during($healthThen->today($desk->athlete))),
            CourtsideScreen::afterStop($desk, $healthThen),
            $sheet->events
                ->where('kind', 'going_on')
                ->map(fn (RepEvent $event): string => substr($event->at, 11, 5).", {$event->note}.")
                ->values()
                ->all(),
            Parts::conflicts($sheet, $user),
            $this->seeing->setLength($desk->athlete, $sheet->ladder, $desk->squad, $today),
            Seeing::agreementOn(
                new AgreementBook([$desk->athlete->id], $today, $this->library),
                $desk->athlete->id,
                $sheet->ladder,
                $standingRung->id,
            ),
            $this->seeing->placing($desk->athlete, $sheet->ladder),
        );
    }

    private static function grouping(Sheet $sheet): ?GroupingView
    {
        $points = SheetEvents::landed($sheet->events);

        return count($points) < self::LEAST_PLACES ? null : ScoreScreen::grouping($points);
    }

    /** What was tried this time that went with the better repetitions, if anything did. */
    private static function helped(Sheet $sheet): ?string
    {
        $judged = $sheet->blocks->where('judged', true)->pluck('id')->all();
        $reps = array_values(array_map(
            fn (RepEvent $rep): array => [$rep->verdict === 'good', HelpedScreen::tried($rep)],
            array_filter(
                SheetEvents::standing($sheet->events),
                fn (RepEvent $rep): bool => in_array($rep->block_id, $judged, true) && in_array($rep->verdict, ['good', 'not_good'], true),
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
        $asked = collect(SheetEvents::standing($sheet->events))->groupBy(fn (RepEvent $rep): string => "{$rep->block_id}|{$rep->set_no}");

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
