<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Courtside\RepStrip;
use App\Gates\Answers\SecondLookView;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Sessions\Sheet;
use App\Wording\JudgingWording;
use Augendo\Core\Day;
use Augendo\Core\Gates\Criterion;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\SecondLook;
use Augendo\Core\Instant;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Mechanics\JudgedRep;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Decisions that stood on repetitions which were put right since. Their evidence stays as it was; one that would not pass any more is put
 * before the coach, who leaves it or takes it back. Nothing is changed by itself.
 */
final class SecondLooks
{
    public const LEFT = 'left';

    public const TAKEN_BACK = 'taken back';

    public function __construct(private readonly Library $library) {}

    /** Looks again at the decision a sheet was evidence for. Call it where the sheet's repetitions have changed, alone with the athlete. */
    public function after(Sheet $sheet): void
    {
        $decision = Decision::query()
            ->where('athlete_id', $sheet->athlete_id)
            ->where('ladder', $sheet->ladder)
            ->where('rung', $sheet->rung)
            ->where('action', 'advance')
            ->where('day', '>=', $sheet->day()->iso())
            ->where('decided_at', '>=', Carbon::now()->subDays(SecondLook::WITHIN_DAYS))
            ->orderByDesc('decided_at')
            ->first();
        $gate = $decision === null ? null : ($decision->evidence['gate'] ?? null);
        $rung = $decision === null
            ? null
            : $this->library->ladder($decision->ladder, $decision->ladder_version)->rung($decision->rung);
        if ($decision === null || $gate === null || $rung === null) {
            return;
        }
        $reps = $this->reps($decision, $rung);
        $on = Day::of(substr($decision->day, 0, 10));
        $failing = SecondLook::failing($rung->gate, GateResult::fromArray($gate), $decision->overridden, $reps, $on);
        $kept = DB::table('second_looks')->where('decision_id', $decision->id);
        if ($failing === []) {
            // Put right once more: there is nothing to answer.
            $kept->whereNull('answered_at')->delete();

            return;
        }
        $found = [
            'failing' => json_encode(array_map(fn (Criterion $of): string => $of->value, $failing), JSON_THROW_ON_ERROR),
            'gate' => json_encode(SecondLook::again($rung->gate, $reps, $on)->toArray(), JSON_THROW_ON_ERROR),
        ];
        $before = $kept->first();
        // Answered is answered, until it is another thing that fails.
        if ($before === null || json_decode($before->failing) !== json_decode($found['failing'])) {
            DB::table('second_looks')->updateOrInsert(['decision_id' => $decision->id], [
                ...$found, 'athlete_id' => $decision->athlete_id, 'found_at' => Carbon::now(),
                'answer' => null, 'reason' => null, 'answered_by' => null, 'answered_at' => null,
            ]);
        }
    }

    /** @param  'left'|'taken back'  $answer */
    public function answer(Athlete $athlete, string $decisionId, string $answer, string $reason, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $decisionId, $answer, $reason, $by): void {
            $open = DB::table('second_looks')
                ->where('athlete_id', $athlete->id)
                ->where('decision_id', $decisionId)
                ->whereNull('answered_at');
            if (! $open->exists()) {
                throw new Problem(ProblemType::DecidedMeanwhile, 'Somebody has answered this already, or it was put right.');
            }
            $decision = Decision::query()->findOrFail($decisionId);
            if ($answer === self::TAKEN_BACK) {
                app(DecideRung::class)->decide($athlete, [
                    'id' => (string) Str::uuid7(), 'ladder' => $decision->ladder, 'rung' => $decision->to_rung,
                    'action' => 'step_back', 'reason' => $reason,
                ], $by);
            }
            $open->update(['answer' => $answer, 'reason' => $reason, 'answered_by' => $by->id, 'answered_at' => Carbon::now()]);
            Audit::of($by, $athlete, "a decision looked at again: {$answer}", ['decision' => $decisionId, 'reason' => $reason]);
            AthletesChanged::one($athlete);
        });
    }

    /**
     * Those that wait for an answer, the latest first.
     *
     * @param  list<string>  $athleteIds
     * @return list<SecondLookView>
     */
    public function open(array $athleteIds): array
    {
        $rows = DB::table('second_looks')
            ->join('decisions', 'decisions.id', '=', 'second_looks.decision_id')
            ->join('athletes', 'athletes.id', '=', 'second_looks.athlete_id')
            ->whereIn('second_looks.athlete_id', $athleteIds)
            ->whereNull('answered_at')
            ->orderByDesc('found_at')
            ->get([
                'second_looks.*', 'decisions.ladder', 'decisions.ladder_version', 'decisions.rung', 'decisions.to_rung', 'decisions.day',
                'athletes.given_name',
            ]);

        return array_values($rows->map(function (object $row): SecondLookView {
            $ladder = $this->library->ladder($row->ladder, (int) $row->ladder_version);
            $rung = $ladder->rung($row->rung);
            $now = Placement::standing()
                ->where('athlete_id', $row->athlete_id)
                ->where('ladder', $row->ladder)
                ->orderByDesc('entered_at')
                ->orderByDesc('id')
                ->value('rung');

            return new SecondLookView(
                decision_id: $row->decision_id,
                athlete_id: $row->athlete_id,
                sentence: JudgingWording::secondLook(
                    name: $row->given_name,
                    to: $ladder->rung($row->to_rung)->name ?? $row->to_rung,
                    day: Day::of(substr($row->day, 0, 10)),
                    failing: array_map(Criterion::from(...), json_decode($row->failing, true)),
                    now: GateResult::fromArray(json_decode($row->gate, true)),
                    gate: $rung?->gate,
                ),
                takes_back_to: $now === $row->to_rung ? ($rung->name ?? $row->rung) : null,
            );
        })->all());
    }

    /** @return list<JudgedRep> of the rung, from when the athlete entered it to the decision, as they stand now */
    private function reps(Decision $decision, Rung $rung): array
    {
        $decided = Instant::of(Carbon::parse($decision->decided_at, 'UTC')->toIso8601String());
        $entered = Placement::query()
            ->where('athlete_id', $decision->athlete_id)
            ->where('ladder', $decision->ladder)
            ->where('rung', $decision->rung)
            ->where('entered_on', '<=', substr($decision->day, 0, 10))
            ->orderByDesc('entered_at')
            ->value('entered_at');
        $strips = DB::table('rep_strips')
            ->join('sheets', 'sheets.id', '=', 'rep_strips.sheet_id')
            ->where('rep_strips.athlete_id', $decision->athlete_id)
            ->where('rep_strips.ladder', $decision->ladder)
            ->where('rep_strips.rung', $decision->rung)
            ->where('rep_strips.day', '<=', substr($decision->day, 0, 10))
            ->orderBy('rep_strips.day')
            ->orderBy('last_at')
            ->get(['rep_strips.sheet_id', 'last_at', 'marks', 'sheets.ladder_version']);
        $reps = [];
        foreach ($strips as $strip) {
            $last = Instant::of($strip->last_at);
            $isLike = $this->library->judgedLike($decision->ladder, (int) $strip->ladder_version, $rung);
            if ($isLike && ! $last->isAfter($decided) && ($entered === null || $last->isAfter(Instant::of($entered)))) {
                array_push($reps, ...RepStrip::read($strip->marks, $strip->sheet_id, $last));
            }
        }

        return $reps;
    }
}
