<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\AfterView;
use App\Models\Placement;
use App\Records\AthleteDay;
use App\Records\LadderBook;
use App\Records\RepLog;
use App\Records\RepStrip;
use App\Records\SheetDesk;
use Augendo\Core\Day;
use Augendo\Core\Library\Fault;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\Nudge;

/** What happened, what next, what to tell them. */
final class AfterScreen
{
    public function __construct(private readonly RepLog $log) {}

    public function view(SheetDesk $desk, Day $today): AfterView
    {
        $sheet = $desk->sheet;
        $reps = SheetDesk::judgedReps($sheet, $this->log->safetyFaults($sheet));
        $pattern = FaultPattern::leading($reps);
        $rung = $desk->rung();
        $fault = $pattern === null ? null : $rung->fault($pattern->fault);
        $mirror = $desk->athlete->throwing_side->mirror(...);

        $day = new AthleteDay($desk->athlete, $today, $desk->squad);
        [$readiness, $ladders, $load, $limits] = [$day->readiness, $day->ladders, $day->load, $day->limits];
        $placement = $ladders->placementsOf($desk->athlete)[$sheet->ladder] ?? new Placement([
            'athlete_id' => $desk->athlete->id, 'ladder' => $sheet->ladder, 'rung' => $sheet->rung, 'entered_at' => '1970-01-01T00:00:00Z',
        ]);
        $standingRung = $ladders->rung($placement);
        $ladder = $desk->ladder();
        $next = $ladder->after($standingRung->id);
        $names = array_column(array_map(fn (Fault $each): array => [$each->id, $each->name], $rung->faults), 1, 0);
        $faults = array_count_values(array_map(fn (JudgedRep $rep): string => $names[$rep->fault] ?? (string) $rep->fault, array_filter($reps, fn (JudgedRep $rep): bool => $rep->fault !== null)));
        arsort($faults);

        return new AfterView(
            SheetRefs::one($sheet->id), Parts::athlete($desk->athlete, $today),
            count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good === true)),
            count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good !== null)),
            count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good === null)),
            RepStrip::write($reps),
            $pattern === null || $fault === null ? null : "{$pattern->times} of the last {$pattern->faults} faults: {$fault->name}.",
            $fault === null ? null : $mirror($fault->cue), $fault === null ? null : $mirror($fault->drill), (object) $faults,
            Parts::gate($ladders->gate($desk->athlete, $placement, $readiness, $load, $limits), $standingRung, $next, LadderBook::word($desk->athlete, $standingRung, $readiness), $ladders->reps($desk->athlete, $placement)),
            Parts::rung($ladder, $standingRung), $next?->id, $ladder->before($standingRung->id)?->id,
            Tapes::inPlay($limits->board($today, $load->record)->states($load->plansOn($today)), $today),
            'Ask tomorrow morning: anything sore, and where? Without that report '.($sheet->return_stage === null ? 'the gate stays shut.' : 'the return waits.'),
            $sheet->return_stage === null ? null : Parts::returnOf(SheetDesk::open($sheet), $today),
            self::nudge($reps, $names),
        );
    }

    /**
     * @param  list<JudgedRep>  $reps
     * @param  array<string, string>  $names  of the rung's faults
     */
    private static function nudge(array $reps, array $names): ?string
    {
        $nudge = Nudge::of($reps);

        return match ($nudge[0] ?? null) {
            'falls' => 'Quality fell towards the end: the last ten lay '.round(100 * (float) $nudge[1]).' points below the best ten. A shorter set next time.',
            'returns' => '“'.($names[$nudge[1]] ?? $nudge[1]).'” was back in three of the last five: one rung back, or drill and whole in turn.',
            default => null,
        };
    }
}
