<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Gates\JudgedEvidence;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Fault;
use Augendo\Core\Mechanics\FocusPoints;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\OtherWork;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\SorenessReport;
use Illuminate\Support\Carbon;

/**
 * The work of the day was taken away by a word, a limit or a return: what is left becomes the session. As long as nobody has counted, a
 * sheet of its own takes the place of the one that was planned, which stays as it is, so that all of it can be taken back. Once
 * somebody has, what was done stays where it was done, and what is left goes beside it.
 */
final class SwapWork
{
    public const STANDS = 'The work of this session stands: there is nothing to swap.';

    private function __construct(private readonly OpenSheet $open, private readonly Sheet $sheet, private readonly OtherWork $work) {}

    /**
     * @param  array{id: string, version: int}  $given
     * @return Sheet the one to go on with
     *
     * @throws Problem when it is stale, nothing was taken away, nothing is left, or a sore place has not been asked again
     */
    public static function take(Sheet $sheet, array $given, User $by): Sheet
    {
        $session = $sheet->trainingSession()->firstOrFail();
        $do = function (PlanChange $change) use ($sheet, $session, $given): array {
            PlanChange::hold([$session->id]);
            $sheet->refresh();
            EditSheet::refuseClosed($sheet);
            EditSheet::refuseStale($sheet, $given['version']);
            $open = OpenSheet::of($sheet);
            if (self::state($open, $open->plans()) !== 'due') {
                throw new Problem(ProblemType::NotToday, self::STANDS);
            }
            $asks = self::toAskAgain($open);
            if ($asks !== []) {
                throw new Problem(ProblemType::AskFirst, 'Ask first how it is now: '.Wording::report($asks[0]).'.');
            }
            $work = $open->otherWork();
            if ($work->minutes() === null) {
                throw new Problem(ProblemType::NotToday, 'Nothing is left that today allows.');
            }
            $change->touch($session);

            return [...(new self($open, $sheet, $work))->swap($change, $given['id']), 'athlete' => $sheet->athlete_id];
        };
        $change = PlanChange::make($session->squad, PlanAct::Swapped, $by, $do, $given['id']);

        if (($change->about['athlete'] ?? null) !== $sheet->athlete_id) {
            throw new Problem(ProblemType::NotAdded, 'This id is taken. Load the page again.');
        }

        return Sheet::query()->findOrFail($change->before['made_sheets'][0] ?? $sheet->id);
    }

    /**
     * @param  list<BlockPlan>  $plans  of the sheet, as they are looked at
     * @return 'due'|'taken'|null taken: what was swapped stands, and is not swapped once more; null: the planned work stands
     */
    public static function state(OpenSheet $open, array $plans): ?string
    {
        $isTaken = $open->sheet->swappedBy() !== null && EditSheet::refusals($open, $plans, $open->doneByPosition()) === [];

        return match (true) {
            $isTaken => 'taken',
            self::isDue($open->sheet, $open->readiness(), $open->today(), $plans) => 'due',
            default => null,
        };
    }

    /**
     * @param  list<BlockPlan>  $plans  of the sheet, as they are fitted to the day
     * @return bool whether nothing of the work the session is for is left, once its day has come
     */
    public static function isDue(Sheet $sheet, Readiness $readiness, Day $today, array $plans): bool
    {
        return in_array($sheet->state, ['planned', 'running'], true) && ! $sheet->day()->isAfter($today)
            && OtherWork::isDue($readiness, $sheet->athlete->throwing_side, $plans);
    }

    /** @return list<SorenessReport> places of which nobody has said lately how they are */
    public static function toAskAgain(OpenSheet $open): array
    {
        $told = Instant::of(Carbon::now()->subMinutes(OtherWork::ASK_AGAIN_MIN)->toIso8601String());

        return OtherWork::toAskAgain($open->readiness(), $told);
    }

    /** @return array{title: string, day: string, starts_at: string, sessions: int} what the change is about */
    private function swap(PlanChange $change, string $changeId): array
    {
        $session = $this->sheet->trainingSession;
        $counted = $this->sheet->state === 'running';
        if (! $counted || $this->work->leads !== null) {
            $change->madeSheet($this->asNewSheet($changeId));
        }
        if (! $counted) {
            $change->touchSheet($this->sheet);
            $this->sheet->update(['state' => Sheet::CALLED_OFF]);
        } else {
            $change->touchDoses($this->sheet);
            $this->lowered($changeId, withRest: $this->work->leads === null);
            RefitPlans::thatGiveWay($this->sheet);
        }

        return ['title' => $session->title, 'day' => $this->sheet->day()->iso(), 'starts_at' => $session->starts_at, 'sessions' => 1];
    }

    private function asNewSheet(string $changeId): Sheet
    {
        $leads = $this->work->leads;
        $faults = $leads === null ? [] : FocusPoints::of(
            JudgedEvidence::lately($this->open->athlete, $leads->ladder->id, $leads->rung->id, $this->open->day()),
            $leads->rung->faults,
        );
        $sheet = new Sheet([
            'training_session_id' => $this->sheet->training_session_id,
            'athlete_id' => $this->sheet->athlete_id,
            'held_on' => $this->sheet->held_on,
            'ladder' => $leads->ladder->id ?? $this->sheet->ladder,
            'ladder_version' => $leads->ladder->version ?? $this->sheet->ladder_version,
            'rung' => $leads->rung->id ?? $this->sheet->rung,
            'state' => 'planned',
            'version' => 0,
            'trims' => [],
            'focus' => array_map(fn (Fault $fault): string => $fault->id, $faults),
            'fitted_on' => $this->open->today()->iso(),
        ]);
        $sheet->save();
        $rest = $this->work->inOrder();
        $doses = array_map(fn (array $each): array => [$each[0], null], $rest);
        SheetDraft::made($sheet, $doses, $this->notes($changeId, array_column($rest, 2)))->keep($sheet);

        return $sheet;
    }

    /** On a sheet that was begun: what was done, then what is left unless that has a sheet of its own, last what is out. */
    private function lowered(string $changeId, bool $withRest): void
    {
        $rows = $this->sheet->blocks->values()->all();
        $plans = $this->open->plans();
        $reps = $this->open->doneByPosition();
        $rest = $withRest ? $this->work->inOrder() : [];
        $over = array_values(array_diff(array_keys($rows), array_column($rest, 1)));
        $isDone = fn (int $at): bool => $reps[$at] > 0;
        $asDone = fn (int $at): array => [$plans[$at]->withReps($reps[$at]), $at, null];
        $done = array_map($asDone, array_values(array_filter($over, $isDone)));
        $nothing = array_map($asDone, array_values(array_filter($over, fn (int $at): bool => ! $isDone($at))));
        $doses = $places = [];
        foreach ([...$done, ...$rest, ...$nothing] as $position => [$plan, $at]) {
            $doses[] = [$plan, $at === null ? null : $rows[$at]->id];
            if ($at !== null) {
                $places[$at] = $position;
            }
        }
        SheetDraft::made($this->sheet, $doses, [
            ...SheetNote::moved($this->sheet->notes(), $places),
            ...$this->notes($changeId, array_column($rest, 2), count($done)),
        ])->keep($this->sheet);
        $this->sheet->update(['focus' => []]);
    }

    /**
     * @param  list<int|null>  $places  position among the added ones by position on the sheet; null: it stood there before
     * @param  int  $from  the position of the first of them on the sheet
     * @return list<SheetNote>
     */
    private function notes(string $changeId, array $places, int $from = 0): array
    {
        $leftOut = array_filter($this->work->trims, fn (Trim $trim): bool => $trim->block === null);
        $notes = [
            SheetNote::swapped($changeId, $this->sheet->ladder, $this->open->ladderRung()),
            ...array_map(SheetNote::trim(...), array_values($leftOut)),
        ];
        foreach ($places as $i => $added) {
            if ($added === null) {
                continue;
            }
            $notes[] = SheetNote::otherWork($this->work->sources[$added], $from + $i);
            foreach (array_filter($this->work->trims, fn (Trim $trim): bool => $trim->block === $added) as $trim) {
                $notes[] = SheetNote::trim($trim)->at($from + $i);
            }
        }

        return $notes;
    }
}
