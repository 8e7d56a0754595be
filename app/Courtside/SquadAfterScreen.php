<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Athletes\AthletesDay;
use App\Athletes\Cards;
use App\Courtside\Answers\SharedFaultView;
use App\Courtside\Answers\SquadAfterRowView;
use App\Courtside\Answers\SquadAfterView;
use App\Gates\Answers\GateRowView;
use App\Gates\Decision;
use App\Gates\GateRows;
use App\Gates\JudgedEvidence;
use App\Health\DayReadiness;
use App\People\User;
use App\Sessions\Attendances;
use App\Sessions\CoachNotes;
use App\Sessions\OpenSheet;
use App\Sessions\Sheet;
use App\Sessions\SheetRefs;
use App\Sessions\Stations;
use App\Sessions\TrainingSession;
use App\Wording\JudgingWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\Attention;
use Augendo\Core\Gates\GateDecision;
use Augendo\Core\Library\Fault;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\SharedFault;
use Augendo\Core\Readiness\Grown;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What did we all do, who moves on, what next? */
final class SquadAfterScreen
{
    public function __construct(private readonly RepLog $log, private readonly GateRows $gates) {}

    public function view(TrainingSession $session, User $user): SquadAfterView
    {
        $sheets = Stations::open($session, $user)->sheets();
        $counted = $sheets->filter(fn (Sheet $sheet): bool => $sheet->state !== 'planned')->values();
        (new EloquentCollection($counted->all()))->load('events');
        $on = $session->day();
        $reps = [];
        foreach ($counted as $sheet) {
            $reps[$sheet->id] = JudgedEvidence::of($sheet, $this->log->safetyFaults($sheet));
        }

        return new SquadAfterView(
            session_id: $session->id,
            title: $session->title,
            day: $on->iso(),
            starts_at: $session->starts_at,
            minutes: self::minutes($counted),
            open: $counted->where('state', 'running')->count(),
            rows: $this->rows($session, $user, $counted, $reps),
            not_counted: array_values($sheets->where('state', 'planned')->map(
                fn (Sheet $sheet) => Cards::athlete($sheet->athlete, $on),
            )->all()),
            shared: self::shared($counted, $reps),
            attendance: Attendances::of($session, $sheets->map(fn (Sheet $sheet): Athlete => $sheet->athlete)),
            notes: CoachNotes::at($session, $user),
            decides: $user->can('change', $session),
        );
    }

    /**
     * @param  Collection<int, Sheet>  $counted
     * @param  array<string, list<JudgedRep>>  $reps  by sheet
     * @return list<SquadAfterRowView>
     */
    private function rows(TrainingSession $session, User $user, Collection $counted, array $reps): array
    {
        $athletes = array_values($counted->map(fn (Sheet $sheet): Athlete => $sheet->athlete)->all());
        if ($athletes === []) {
            return [];
        }
        $today = $user->workspace->today();
        $gates = $this->gatesOf(new AthletesDay($athletes, $session->squad, $today));
        $health = new DayReadiness($athletes, $session->day());
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, $athletes);
        $decided = Decision::query()->whereIn('athlete_id', $ids)->where('day', '>=', $session->day()->iso())
            ->orderBy('decided_at')->get()->keyBy(fn (Decision $of): string => "{$of->athlete_id} {$of->ladder}");
        $next = DB::table('sheets')->whereIn('athlete_id', $ids)->where('held_on', '>', $session->day()->iso())
            ->where('state', 'planned')->groupBy('athlete_id')->selectRaw('athlete_id, min(held_on) as next_on')
            ->pluck('next_on', 'athlete_id');
        $rows = $counted->map(fn (Sheet $sheet): SquadAfterRowView => $this->row(
            $sheet, $reps[$sheet->id], $gates["{$sheet->athlete_id} {$sheet->ladder}"] ?? null, $today, $health,
            $decided["{$sheet->athlete_id} {$sheet->ladder}"] ?? null,
            isset($next[$sheet->athlete_id]) ? substr((string) $next[$sheet->athlete_id], 0, 10) : null,
        ));

        return array_values($rows->sortBy(
            fn (SquadAfterRowView $row): array => [Attention::from($row->group)->place(), $row->athlete->name],
        )->all());
    }

    /** @return array<string, GateRowView> as Gates shows them, by athlete and ladder */
    private function gatesOf(AthletesDay $day): array
    {
        $gates = [];
        foreach ($this->gates->made($day) as $athleteId => $rows) {
            foreach ($rows as $row) {
                $gates["{$athleteId} {$row->rung->ladder}"] = $row;
            }
        }

        return $gates;
    }

    /** @param  list<JudgedRep>  $reps */
    private function row(
        Sheet $sheet, array $reps, ?GateRowView $gate, Day $today, DayReadiness $health, ?Decision $decided, ?string $nextOn,
    ): SquadAfterRowView {
        $rung = OpenSheet::of($sheet)->rung();
        $pattern = FaultPattern::leading($reps, $rung->pairs());
        $fault = $pattern === null ? null : $rung->fault($pattern->fault);
        $decides = $gate !== null && $gate->group !== Attention::Return->value;

        return new SquadAfterRowView(
            sheet: SheetRefs::one($sheet, $today),
            athlete: Cards::athlete($sheet->athlete, $today),
            good: count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good === true)),
            observed: count(array_filter($reps, fn (JudgedRep $rep): bool => $rep->good !== null)),
            strip: RepStrip::write($reps),
            pattern: $pattern === null || $fault === null ? null : JudgingWording::pattern($pattern, $fault),
            rung: $gate?->rung,
            proposed: $decides ? $gate->gate->decision : null,
            why: $gate === null ? 'On no ladder.' : $gate->why,
            group: $gate->group ?? Attention::Stuck->value,
            together: $decides && GateDecision::from($gate->gate->decision)->staysOnTheRung(),
            decided: $decided?->action,
            revision: $sheet->athlete->revision,
            grew: array_map(Wording::report(...), Grown::during($health->today($sheet->athlete))),
            next_on: $nextOn,
        );
    }

    /**
     * @param  Collection<int, Sheet>  $counted
     * @param  array<string, list<JudgedRep>>  $reps  by sheet
     */
    private static function shared(Collection $counted, array $reps): ?SharedFaultView
    {
        $seen = $faults = $names = [];
        foreach ($counted as $sheet) {
            $open = OpenSheet::of($sheet);
            $names[$sheet->athlete_id] = $sheet->athlete->given_name;
            foreach ($reps[$sheet->id] as $rep) {
                $fault = $rep->fault === null ? null : $open->rung()->fault($rep->fault);
                if ($fault !== null) {
                    $seen[$sheet->athlete_id][$fault->name] = ($seen[$sheet->athlete_id][$fault->name] ?? 0) + 1;
                    $faults[$fault->name] ??= $fault;
                }
            }
        }
        $shared = SharedFault::of($seen);

        return $shared === null ? null : self::sharedView($shared, $faults[$shared->fault], $names);
    }

    /** @param  array<string, string>  $names  given, by athlete */
    private static function sharedView(SharedFault $shared, Fault $fault, array $names): SharedFaultView
    {
        return new SharedFaultView(
            name: $fault->name,
            who: array_map(fn (string $id): string => $names[$id], $shared->who),
            times: $shared->times,
            cue: $fault->cue,
            drill: $fault->drill,
        );
    }

    /** @param  Collection<int, Sheet>  $counted */
    private static function minutes(Collection $counted): ?int
    {
        $taps = RepEvent::query()->whereIn('sheet_id', $counted->pluck('id'));
        [$first, $last] = [(clone $taps)->min('at'), $taps->max('at')];

        return $first === null
            ? null
            : max(1, (int) ceil(CarbonImmutable::parse($first)->diffInMinutes(CarbonImmutable::parse($last), true)));
    }
}
