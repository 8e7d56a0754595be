<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Gates\Placement;
use Augendo\Core\Planning\SessionLife;
use Illuminate\Support\Collection;

/** The sheets of a session: one for each ladder somebody works on in it. */
final class MakeSheets
{
    /** @var list<Sheet> */
    public array $made = [];

    /** @var list<string> who has none, and why */
    public array $left = [];

    private function __construct(
        private readonly TrainingSession $session,
        private readonly ?PlanChange $change,
        private readonly bool $fitLater = false,
        /** one athlete, asked for by name */
        private readonly bool $byName = false,
    ) {}

    /**
     * For everybody of the squad.
     *
     * @param  bool  $fitLater  by the worker: whoever asked does not wait for the doses of weeks ahead
     */
    public static function forSquad(TrainingSession $session, Squad $squad, ?PlanChange $change = null, bool $fitLater = false): self
    {
        $making = new self($session, $change, $fitLater);
        foreach ($squad->athletes()->whereNull('erased_at')->get() as $athlete) {
            $making->for($athlete, $session->ladders);
        }
        $session->update(['has_sheets' => true]);

        return $making;
    }

    /** For somebody who is new to the session: fitted by the worker. */
    public static function forNew(TrainingSession $session, Athlete $athlete): self
    {
        $making = new self($session, null, fitLater: true);
        $making->for($athlete, $session->ladders);

        return $making;
    }

    /** @param  list<string>|null  $ladders  null: the one the athlete is on last */
    public static function forOne(TrainingSession $session, Athlete $athlete, ?array $ladders, PlanChange $change): self
    {
        $making = new self($session, $change, byName: true);
        $making->for($athlete, $ladders);

        return $making;
    }

    /** Sessions of all squads of a club whose day has come near enough, in order of their days. */
    public static function ofDaysComeNear(int $workspaceId): void
    {
        $squads = Squad::query()->with('workspace')->where('workspace_id', $workspaceId)->get()->keyBy('id');
        $near = TrainingSession::query()
            ->whereIn('squad_id', $squads->keys())
            ->where('has_sheets', false)
            ->where('state', SessionState::Planned->value)
            ->orderBy('held_on')
            ->orderBy('starts_at')
            ->get();
        foreach ($near as $session) {
            $squad = $squads[$session->squad_id];
            if (SessionLife::needsSheets($session->day(), $squad->workspace->today())) {
                MakeSheetsLater::dispatch($session->id);
            }
        }
    }

    /** @return Collection<int, Placement> where somebody stands, the ladder entered last first */
    public static function standing(string $athleteId): Collection
    {
        return Placement::standing()
            ->where('athlete_id', $athleteId)
            ->orderBy('entered_at')
            ->get()
            ->keyBy('ladder')
            ->sortByDesc('entered_at')
            ->values();
    }

    /** @param  list<string>|null  $ladders */
    private function for(Athlete $athlete, ?array $ladders): void
    {
        $standing = self::standing($athlete->id);
        $chosen = $ladders === null ? $standing->take(1) : $standing->whereIn('ladder', $ladders)->values();
        if ($chosen->isEmpty()) {
            $this->left[] = $standing->isEmpty()
                ? "{$athlete->given_name} stands on no ladder yet"
                : "{$athlete->given_name} stands on none of these ladders";
        }
        foreach ($chosen as $placement) {
            $there = Sheet::query()
                ->with('trainingSession')
                ->where('athlete_id', $athlete->id)
                ->where('held_on', $this->session->day()->iso())
                ->get();
            $here = $there->first(fn (Sheet $sheet): bool => $sheet->training_session_id === $this->session->id
                && $sheet->ladder === $placement->ladder);
            $others = $there->filter(fn (Sheet $sheet): bool => $sheet->training_session_id !== $this->session->id
                && $sheet->state !== Sheet::CALLED_OFF);
            $ofSeason = $others->first(fn (Sheet $sheet): bool => $sheet->trainingSession->extra
                && $sheet->state === 'planned' && $sheet->ladder === $placement->ladder);
            match (true) {
                $here !== null => $this->comeBack($here, $athlete),
                $ofSeason !== null => $this->join($ofSeason),
                $others->contains($this->isAtTheSameTime(...)) => $this->left[]
                    = "{$athlete->given_name} is in another session at that hour",
                default => $this->add($placement, $chosen->count()),
            };
        }
    }

    private function isAtTheSameTime(Sheet $sheet): bool
    {
        $other = $sheet->trainingSession;

        return SessionLife::overlap($this->session->starts_at, $this->session->minutes, $other->starts_at, $other->minutes);
    }

    private function add(Placement $placement, int $shares): void
    {
        $minutes = $this->session->minutesOf($shares);
        $sheet = Sheet::planned($this->session, $placement)->fill(['pace' => $minutes === null ? null : ['minutes' => $minutes]]);
        $sheet->save();
        $this->fitLater ? RefitPlans::later($sheet) : RefitPlans::afterCommit($sheet);
        $this->change?->madeSheet($sheet);
        $this->made[] = $sheet;
    }

    /** A season had a session of its own for that day: now it uses this one. */
    private function join(Sheet $sheet): void
    {
        $extra = $sheet->trainingSession;
        $this->change?->touchSheet($sheet);
        $sheet->update(['training_session_id' => $this->session->id]);
        RefitPlans::afterCommit($sheet);
        self::endIfEmpty($extra, $this->change);
        $this->made[] = $sheet;
    }

    /** A session came to a day on which seasons had made their own: whoever is in it needs no other on the same ladder. */
    public static function giveWayTo(TrainingSession $session, PlanChange $change): void
    {
        foreach ($session->sheets()->where('state', 'planned')->get() as $here) {
            $that = ['athlete_id' => $here->athlete_id, 'ladder' => $here->ladder, 'held_on' => $here->held_on, 'state' => 'planned'];
            $extras = Sheet::query()->with('trainingSession')->where($that)->where('training_session_id', '!=', $session->id)->get();
            foreach ($extras->filter(fn (Sheet $sheet): bool => $sheet->trainingSession->extra) as $sheet) {
                $change->touchSheet($sheet);
                $sheet->update(['state' => Sheet::CALLED_OFF]);
                self::endIfEmpty($sheet->trainingSession, $change);
            }
        }
    }

    private static function endIfEmpty(TrainingSession $extra, ?PlanChange $change): void
    {
        if ($extra->sheets()->where('state', '!=', Sheet::CALLED_OFF)->doesntExist()) {
            $change?->touch($extra);
            $extra->update(['state' => SessionState::Deleted]);
        }
    }

    /** Somebody who was taken out stays out until a person puts them in again. */
    private function comeBack(Sheet $sheet, Athlete $athlete): void
    {
        if (! $this->byName) {
            return;
        }
        if ($sheet->state !== Sheet::CALLED_OFF) {
            $this->left[] = "{$athlete->given_name} is in this session already";

            return;
        }
        $this->change?->touchSheet($sheet);
        $sheet->update(['state' => 'planned']);
        RefitPlans::afterCommit($sheet);
        $this->made[] = $sheet;
    }
}
