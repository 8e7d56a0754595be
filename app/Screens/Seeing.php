<?php

declare(strict_types=1);

namespace App\Screens;

use App\Http\Views\AgreementView;
use App\Http\Views\CheckpointProgressView;
use App\Http\Views\CriterionView;
use App\Http\Views\MatchReadyView;
use App\Http\Views\PlacingView;
use App\Http\Views\ProgressView;
use App\Models\Athlete;
use App\Models\Decision;
use App\Models\Sheet;
use App\Models\Squad;
use App\Records\PlacingDesk;
use App\Records\RepLog;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Gates\MatchReady;
use Augendo\Core\Gates\Placing;
use Augendo\Core\Gates\Verdict;
use Augendo\Core\Library\Library;
use Augendo\Core\Mechanics\Agreement;
use Augendo\Core\Mechanics\CheckpointProgress;
use Augendo\Core\Mechanics\SetLength;
use Augendo\Core\Readiness\Word;
use Illuminate\Support\Facades\DB;

/** What months of judged repetitions say: progress by checkpoint, how long a set stays good, readiness for a match, a newcomer’s place. */
final class Seeing
{
    private const DAYS_BACK = 365;

    private const SET_LENGTH_DAYS = 60;

    public function __construct(private readonly Library $library, private readonly PlacingDesk $placing) {}

    /** Every checkpoint of a ladder that was looked for. */
    public function progress(Athlete $athlete, string $ladderId, Day $on): ProgressView
    {
        $sessions = [];
        $rows = DB::table('rep_strips')->where('athlete_id', $athlete->id)->where('ladder', $ladderId)->where('day', '>', $on->plus(-self::DAYS_BACK)->iso())->where('day', '<=', $on->iso())->orderBy('last_at')->get(['day', 'checkpoints']);
        foreach ($rows as $row) {
            foreach (json_decode($row->checkpoints ?? '{}', true) as $checkpoint => [$right, $seen]) {
                $sessions[$checkpoint][] = [Day::of(substr($row->day, 0, 10))->ordinal, $right, $seen];
            }
        }
        $views = [];
        foreach ($this->names($ladderId) as $id => $name) {
            $progress = CheckpointProgress::of($sessions[$id] ?? []);
            if ($progress !== null) {
                $views[] = self::progressOf($name, $progress);
            }
        }

        return new ProgressView($views, array_sum(array_column($sessions[RepLog::UNNAMED] ?? [], 2)));
    }

    private static function progressOf(string $name, CheckpointProgress $of): CheckpointProgressView
    {
        $points = fn (?float $share): string => ((float) $share > 0 ? '+' : '').round(100 * (float) $share);

        return new CheckpointProgressView(
            $name, Day::fromOrdinal($of->fromDay)->iso(), Day::fromOrdinal($of->toDay)->iso(), $of->first[0], $of->first[1], $of->latest[0] ?? null, $of->latest[1] ?? null, $of->says,
            $of->latest === null
                ? "{$of->first[0]} of {$of->first[1]} right so far; not enough yet to set first looks against latest."
                : "First {$of->first[0]} of {$of->first[1]} right, now {$of->latest[0]} of {$of->latest[1]}: {$points($of->difference)} points ({$points($of->low)} to {$points($of->high)}). ".ucfirst($of->says).'.',
        );
    }

    /** @return array<string, string> names of a ladder's checkpoints by id */
    private function names(string $ladderId): array
    {
        $names = [];
        foreach ($this->library->ladder($ladderId)->rungs as $rung) {
            foreach ($rung->checkpoints as $checkpoint) {
                $names[$checkpoint->id] = $checkpoint->name;
            }
        }

        return $names;
    }

    /** How long quality lasts in a session, from what was judged on a ladder lately; the squad is a weak beginning. */
    public function setLength(Athlete $athlete, string $ladderId, Squad $squad, Day $on): ?string
    {
        $marks = DB::table('rep_strips')->where('ladder', $ladderId)->where('day', '>', $on->plus(-self::SET_LENGTH_DAYS)->iso())->where('day', '<=', $on->iso())
            ->whereIn('athlete_id', [$athlete->id, ...$squad->athletes()->whereNull('erased_at')->pluck('athletes.id')->all()])->orderBy('last_at')->get(['athlete_id', 'marks']);
        [$own, $others] = $marks->partition(fn (object $strip): bool => $strip->athlete_id === $athlete->id);
        $length = SetLength::of($own->pluck('marks')->values()->all(), $others->pluck('marks')->values()->all());

        return $length === null ? null : "Quality goes after repetition {$length->after} of a session: ".Wording::percent($length->before).' good up to it, '.Wording::percent($length->later).' after.';
    }

    public static function agreement(string $who, Agreement $of, ?string $splitsOn): AgreementView
    {
        return new AgreementView($who, $of->n, $of->same, $of->kappa, $of->interval[0] ?? null, $of->interval[1] ?? null, $splitsOn, $of->isWeak(), $of->n >= Agreement::LEAST_PAIRS);
    }

    /**
     * A step back or a pause takes the word back.
     *
     * @param  list<string>  $athleteIds
     * @return array<string, string> since when somebody is match ready and who said so, by "athlete ladder"
     */
    public static function matchReadySince(array $athleteIds): array
    {
        $since = [];
        foreach (Decision::query()->with('decider')->whereIn('athlete_id', $athleteIds)->whereIn('action', ['match_ready', 'step_back', 'pause'])->orderBy('decided_at')->orderBy('id')->get() as $decision) {
            $key = "{$decision->athlete_id} {$decision->ladder}";
            unset($since[$key]);
            if ($decision->action === 'match_ready') {
                $since[$key] = Wording::day(Day::of(substr($decision->day, 0, 10))).', '.$decision->decider->name;
            }
        }

        return $since;
    }

    public static function matchReady(?MatchReady $of, Athlete $athlete, string $ladderId, Word $word): ?MatchReadyView
    {
        if ($of === null) {
            return null;
        }
        $days = array_map(fn (int $day): string => Wording::day(Day::fromOrdinal($day)), $of->goodDays);
        $criterion = fn (string $name, string $label, string $evidence): CriterionView => new CriterionView($name, $label, $of->criteria[$name]->value, $evidence, false);

        return new MatchReadyView(
            $of->isOpen(),
            self::matchReadySince([$athlete->id])["{$athlete->id} {$ladderId}"] ?? null,
            [
                $criterion('held', 'Where it counts', $of->criteria['held'] === Verdict::Pass ? 'a rung whose outcome counts is held' : 'no rung whose outcome counts is held yet'),
                $criterion('varied', 'Varied practice', $of->judged === 0 ? 'none judged yet' : "{$of->good} of {$of->judged} good in ".MatchReady::MAX_AGE_DAYS.' days; a day counts from '.MatchReady::LEAST_REPS.' judged'),
                $criterion('apart', 'Two days a week apart', $days === [] ? 'no good day yet' : 'good on '.implode(', ', $days)),
                $criterion('safety', 'Safety', $of->safetyFaults === 0 ? 'no safety fault in varied practice' : "{$of->safetyFaults} safety faults in varied practice"),
                $criterion('readiness', 'Today’s word', Wording::word($word)),
                $criterion('clearance', 'Clearance', $of->criteria['clearance'] === Verdict::Pass ? 'none needed' : 'a referral is open'),
            ],
        );
    }

    public function placing(Athlete $athlete, string $ladderId): ?PlacingView
    {
        $state = $this->placing->state($athlete, $ladderId);
        if ($state === null) {
            return null;
        }
        $rungs = $this->library->ladder($ladderId)->rungs;
        $placing = $state['placing'];
        $seen = "{$state['good']} of {$state['judged']} judged good".($state['safety'] === 0 ? '' : ", {$state['safety']} that can hurt");
        $at = $placing->look ?? $placing->place ?? 0;

        return new PlacingView($ladderId, match (true) {
            $placing->place !== null => "{$seen}. The place is found.",
            $state['judged'] < Placing::REPS => "{$seen}; ".Placing::REPS.' are asked for, '.Placing::LEAST_GOOD.' of them good and none that can hurt.',
            default => "{$seen}. On to the next rung.",
        }, match (true) {
            $placing->place !== null => 'place',
            $state['judged'] < Placing::REPS => 'more',
            default => 'look',
        }, $rungs[$at]->name, Sheet::query()->where('athlete_id', $athlete->id)->where('ladder', $ladderId)->where('state', '!=', 'finished')->orderByDesc('held_on')->value('id'));
    }
}
