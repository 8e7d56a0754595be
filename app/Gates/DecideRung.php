<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Sent;
use App\Sessions\RefitPlans;
use App\Wording\JudgingWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\Criterion;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Gates\Verdict;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Carbon;

/** The coach's act on a rung, with the evidence frozen beside it. */
final class DecideRung
{
    /** @param  array{id: string, ladder: string, rung: string, action: string, reason?: string|null}  $given */
    public function decide(Athlete $athlete, array $given, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $given, $by): void {
            if (Sent::before('decisions', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            $on = $by->workspace->today();
            $day = new AthleteDay($athlete, $on);
            [$readiness, $ladders] = [$day->readiness, $day->ladders];
            $placement = $ladders->placementsOf($athlete)[$given['ladder']]
                ?? throw new Problem(
                    ProblemType::NotOnThisLadder,
                    'The athlete has no place on this ladder.',
                    ['ladder' => ['The athlete has no place on this ladder.']],
                );
            if ($placement->rung !== $given['rung']) {
                throw new Problem(
                    ProblemType::DecidedMeanwhile,
                    'The athlete is on another rung by now. Load the page again; your reason is kept in the form.',
                    ['rung' => ["Now on “{$ladders->rung($placement)->name}”."]],
                );
            }
            $ladder = $ladders->ladder($placement);
            $rung = $ladders->rung($placement);
            $to = match ($given['action']) {
                'advance' => $ladder->after($rung->id)
                    ?? throw new Problem(ProblemType::TopOfTheLadder, 'There is no rung above this one.'),
                'step_back' => $ladder->before($rung->id)
                    ?? throw new Problem(ProblemType::FootOfTheLadder, 'There is no rung below this one.'),
                default => $rung,
            };
            $result = $ladders->gate($athlete, $placement, $readiness, $day->load, $day->limits);
            $word = Standings::word($athlete, $rung, $readiness);
            $evidence = $given['action'] === 'match_ready'
                ? KeptEvidence::ofMatch(self::matchReady($athlete, $placement, $day, $result, $word), $word)
                : KeptEvidence::ofGate($result, $word);
            $overridden = $given['action'] === 'advance' ? $this->overridden($result, trim($given['reason'] ?? '')) : [];
            $decision = Decision::query()->create([
                'id' => $given['id'], 'athlete_id' => $athlete->id, 'ladder' => $ladder->id,
                'ladder_version' => $ladder->version, 'rung' => $rung->id,
                'action' => $given['action'], 'to_rung' => $to->id,
                'evidence' => $evidence,
                'overridden' => $overridden, 'reason' => $given['reason'] ?? null, 'day' => $on->iso(),
                'decided_by' => $by->id, 'decided_at' => Carbon::now(),
            ]);
            AthletesChanged::one($athlete->id);
            if ($to->id !== $rung->id) {
                Placement::query()->create([
                    'athlete_id' => $athlete->id, 'ladder' => $ladder->id, 'ladder_version' => $ladder->version, 'rung' => $to->id,
                    'entered_on' => $on->iso(),
                    'entered_at' => Carbon::now($by->workspace->timezone)->toIso8601String(),
                    'decision_id' => $decision->id,
                ]);
                $this->refitLater($athlete, $ladder->id, $to->id, $on);
            }
        });
    }

    /**
     * The gate to a match asks for what was shown under varied practice; nobody passes over any of it.
     *
     * @throws Problem while it is not open
     */
    private static function matchReady(
        Athlete $athlete, Placement $placement, AthleteDay $day, GateResult $result, Word $word,
    ): MatchReady {
        $onTheWayBack = $day->returns->open($athlete->id) !== null;
        $match = $day->ladders->matchReady($athlete, $placement, $day->readiness, $result, $onTheWayBack);
        if ($match === null) {
            $why = 'The outcome is not looked at on this rung yet.';
            throw new Problem(ProblemType::NotYet, $why, ['action' => ['Not yet.']]);
        }
        if (! $match->isOpen()) {
            $words = JudgingWording::matchReady($match, $word);
            $open = array_keys(array_filter($match->criteria, fn (Verdict $verdict): bool => $verdict !== Verdict::Pass));
            $missing = implode(', ', array_map(fn (string $name): string => lcfirst($words[$name][0]), $open));
            throw new Problem(ProblemType::NotYet, "Match ready still asks for: {$missing}.", ['action' => ['Not yet.']]);
        }

        return $match;
    }

    /**
     * Mechanics may be overridden with a written reason; nothing else may.
     *
     * @return list<string> names of the criteria the coach decided against
     */
    private function overridden(GateResult $result, string $reason): array
    {
        $open = array_keys(array_filter($result->criteria, fn (Verdict $verdict): bool => $verdict !== Verdict::Pass));
        $firm = array_values(array_filter($open, fn (string $name): bool => ! Criterion::from($name)->mayBeOverridden()));
        if ($firm !== []) {
            $names = implode(', ', array_map(fn (string $name): string => lcfirst(Wording::criterion(Criterion::from($name))), $firm));
            throw new Problem(ProblemType::NotYet, "Nobody can pass over {$names}.", ['action' => ["Nobody can pass over {$names}."]]);
        }
        if ($open !== [] && mb_strlen($reason) < 10) {
            throw new Problem(
                ProblemType::AReasonIsNeeded,
                'To advance against the mechanics criteria, write why, in a sentence.',
                ['reason' => ['Write why, in a sentence.']],
            );
        }

        return $open;
    }

    private function refitLater(Athlete $athlete, string $ladder, string $rung, Day $on): void
    {
        foreach (
            $athlete
                ->sheets()
                ->where('held_on', '>', $on->iso())
                ->where('ladder', $ladder)
                ->where('state', 'planned')
                ->get() as $sheet
        ) {
            $sheet->update(['rung' => $rung]);
            RefitPlans::afterCommit($sheet);
        }
    }
}
