<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\Sent;
use App\Sessions\Sheet;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Scoring\Score;
use Augendo\Core\Scoring\ScoreKind;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Scores of an athlete: what was seen, and the number it comes to. */
final class Scores
{
    public const SOURCE = 'score';

    public function __construct(private readonly Library $library, private readonly EnteredWork $work) {}

    /**
     * A score is work: its repetitions count as load of the session it was taken in, or of its own where there is none. Those that were
     * tapped courtside already count there and not here.
     *
     * @param  array<string, mixed>  $given  validated; sent before, it changes nothing
     */
    public function add(Athlete $athlete, array $given, User $by): void
    {
        $rung = $this->scoredOn($athlete, $given['ladder'], $by);
        $this->refuseUnknownWork($given);
        $kind = ScoreKind::from($given['kind']);
        try {
            $score = self::read($kind, $given['seen']);
        } catch (InvalidValue $error) {
            throw new Problem(ProblemType::SomeOfItCannotBeUsed, $error->getMessage(), ['seen' => [$error->getMessage()]]);
        }
        $now = Carbon::now($by->workspace->timezone);
        Alone::with($athlete->id, function () use ($athlete, $given, $by, $kind, $score, $now, $rung): void {
            if (Sent::before('scores', $given['id'], ['athlete_id' => $athlete->id])) {
                return;
            }
            DB::table('scores')->insert([
                'id' => $given['id'], 'athlete_id' => $athlete->id, 'kind' => $kind->value, 'ladder' => $given['ladder'],
                'name' => $given['name'], 'day' => $by->workspace->today()->iso(), 'at' => $now->toIso8601String(),
                'seen' => json_encode($given['seen'], JSON_THROW_ON_ERROR), 'value' => $score->value,
                'goal' => $given['goal'], 'taken_by' => $by->id,
            ]);
            if (! $given['counted']) {
                $this->count($athlete, $given, $score->reps, $rung, $by);
            }
        });
    }

    /** Takes a score back, and its load with it. */
    public function withdraw(Athlete $athlete, string $id, string $reason, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $id, $reason, $by): void {
            $score = DB::table('scores')->where('athlete_id', $athlete->id)->where('id', $id)->first()
                ?? throw new Problem(ProblemType::NotFound, 'This score is not there.');
            if ($score->withdrawn_at !== null) {
                return;
            }
            DB::table('scores')->where('id', $id)->update(['withdrawn_at' => Carbon::now(), 'withdrawn_by' => $by->id]);
            $reps = $this->work->takeBack($athlete, $id, [self::SOURCE], $reason, $by)->reps ?? 0;
            Audit::of($by, $athlete, 'score taken back', [
                'day' => substr($score->day, 0, 10), 'kind' => $score->kind, 'reps' => $reps, 'reason' => $reason,
            ]);
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }

    /** @param  array<string, mixed>  $given */
    private function count(Athlete $athlete, array $given, int $reps, ?Rung $rung, User $by): void
    {
        $day = $by->workspace->today();
        $sheet = $given['ladder'] === null ? null : Sheet::query()
            ->where('athlete_id', $athlete->id)
            ->where('held_on', $day->iso())
            ->where('ladder', $given['ladder'])
            ->whereIn('state', ['planned', 'running', 'finished'])
            ->orderByRaw("case state when 'running' then 0 when 'finished' then 1 else 2 end")
            ->first();
        $session = $sheet->id ?? "score {$given['id']}";
        if ($rung === null) {
            // Off the ladders nobody knows how hard: it counts as full.
            $skill = $this->library->skills()[$given['skill']];
            $set = WorkSet::ordinarily($day, $session, $skill, $reps, null);
            $object = $skill->ordinaryImplement()->value;
        } else {
            $dose = $rung->scoredDose();
            $set = BlockPlan::asAsked($dose)->workSet($day, $session, $reps);
            $object = $dose->object->id;
        }
        $this->work->add($athlete, $given['id'], $set, self::SOURCE, $object, $this->blockOf($sheet, $set));
        AthletesChanged::one($athlete, $day);
    }

    /** The block the round was thrown in: what is still planned of it gets less. A sheet that is not begun may yet be fitted anew. */
    private function blockOf(?Sheet $sheet, WorkSet $set): ?string
    {
        return $sheet === null || $sheet->state === 'planned' ? null : $sheet->blocks()
            ->where('skill', $set->skill->id)
            ->whereIn('kind', [BlockKind::Target->value, BlockKind::GameLike->value])
            ->value('id');
    }

    /**
     * @param  array<string, mixed>  $given
     *
     * @throws Problem when nothing says what was thrown
     */
    private function refuseUnknownWork(array $given): void
    {
        if (! $given['counted'] && $given['ladder'] === null && ($given['skill'] ?? null) === null) {
            $why = 'Say what was thrown: it counts as load.';
            throw new Problem(ProblemType::SomeOfItCannotBeUsed, $why, ['skill' => [$why]]);
        }
    }

    /**
     * @return Rung|null the rung stood on; null off the ladders
     *
     * @throws Problem where the outcome must be ignored: a target brings the old habit back, so it is not scored
     */
    private function scoredOn(Athlete $athlete, ?string $ladderId, User $by): ?Rung
    {
        if ($ladderId === null) {
            return null;
        }
        $ladders = (new AthleteDay($athlete, $by->workspace->today()))->ladders;
        $placement = $ladders->placementsOf($athlete)[$ladderId] ?? throw new Problem(
            ProblemType::NotOnThisLadder,
            'The athlete has no place on this ladder.',
            ['ladder' => ['The athlete has no place on this ladder.']],
        );
        if ($ladders->rung($placement)->outcomeIgnored) {
            $why = "On “{$ladders->rung($placement)->name}” where it lands is not looked at yet.";
            throw new Problem(ProblemType::NotScoredYet, "{$why} Judge the movement; keep the score for later.", ['ladder' => [$why]]);
        }

        return $ladders->rung($placement);
    }

    /** @param  array<string, mixed>  $seen */
    public static function read(ScoreKind $kind, array $seen): Score
    {
        return match ($kind) {
            ScoreKind::TargetRound => Score::targetRound(
                array_map(fn (array $zone): array => array_map(boolval(...), array_values($zone)), array_values($seen['zones'])),
                (int) $seen['points_each'],
                (int) ($seen['safe'] ?? 0),
            ),
            ScoreKind::ClearTargets => Score::clearTargets((int) $seen['throws'], (int) $seen['targets']),
            ScoreKind::InARow => Score::inARow(array_map(boolval(...), array_values($seen['attempts']))),
            ScoreKind::ServeGame => Score::serveGame(
                array_map(
                    fn (array $point): array => [(bool) $point[0], $point[1] === null ? null : (bool) $point[1]],
                    array_values($seen['points']),
                ),
            ),
            ScoreKind::Grouping => Score::grouping(self::points($seen)),
            ScoreKind::TimedGaps => Score::timedGaps(
                array_map(floatval(...), array_values($seen['times'])), (int) $seen['passes'], (int) $seen['throws'],
            ),
        };
    }

    /**
     * @param  array<string, mixed>  $seen
     * @return list<array{float, float}>
     */
    public static function points(array $seen): array
    {
        return array_map(fn (array $point): array => [(float) $point[0], (float) $point[1]], array_values($seen['points']));
    }
}
