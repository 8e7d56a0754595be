<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Film\FilmReviews;
use App\Gates\JudgedEvidence;
use App\Health\DayReadiness;
use App\Library\ClubDrills;
use App\Limits\AthleteLimits;
use App\Limits\AthleteLoad;
use App\Limits\AthleteLoads;
use App\Limits\RuleSets;
use App\Returns\PlayReturn;
use App\Returns\ReturnsUnderWay;
use App\Seasons\Fixture;
use Augendo\Core\Day;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Figures;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\RuleSet;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Surface;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Planning\Addable;
use Augendo\Core\Planning\Allowed;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Claim;
use Augendo\Core\Planning\OnLadder;
use Augendo\Core\Planning\OtherWork;
use Augendo\Core\Planning\SessionBuilder;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Planning\WorkSource;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Returning\StageRung;

/** One sheet with everything it has to fit into: ladder, rung, word, load, limits. Each is fetched once, when it is first asked for. */
final class OpenSheet
{
    private ?AthleteLoad $load = null;

    private ?AthleteProfile $profile = null;

    /** @var array<string, Ladder> by id and version: a sheet may be put on another while it is open */
    private array $ladders = [];

    private ?SessionFrame $frame = null;

    private ?Readiness $readiness = null;

    private ?ReturnsUnderWay $returns = null;

    /** @var list<JudgedRep>|null */
    private ?array $seenLast = null;

    /** @var list<Claim>|null */
    private ?array $otherClaims = null;

    /** @var array<string, WorkSource>|null */
    private ?array $addable = null;

    private function __construct(
        private readonly Library $library,
        private readonly AthleteLoads $loads,
        public readonly Sheet $sheet,
        public readonly Athlete $athlete,
        public readonly Squad $squad,
    ) {}

    public static function of(Sheet $sheet): self
    {
        $sheet->loadMissing('trainingSession.squad.workspace', 'athlete');

        return new self(app(Library::class), app(AthleteLoads::class), $sheet, $sheet->athlete, $sheet->trainingSession->squad);
    }

    public function day(): Day
    {
        return $this->sheet->day();
    }

    public function today(): Day
    {
        return $this->squad->workspace->today();
    }

    /** A day that has not come: nobody can have checked in yet, so the sheet is planned for a calm day and fitted anew on it. */
    public function isAhead(): bool
    {
        return $this->day()->isAfter($this->today());
    }

    public function ladder(): Ladder
    {
        return $this->ladders["{$this->sheet->ladder} {$this->sheet->ladder_version}"] ??= $this->library
            ->ladder($this->sheet->ladder, $this->sheet->ladder_version)
            ->forAthlete($this->profile(), $this->day(), $this->library->doses());
    }

    /** @return array<string, string> how the ladder is taught to the athlete, as far as somebody chose; by question */
    public function taughtBy(): array
    {
        return $this->profile()->schools[$this->sheet->ladder] ?? [];
    }

    private function profile(): AthleteProfile
    {
        return $this->profile ??= $this->load === null
            ? $this->loads->profiles([$this->athlete], $this->day())[$this->athlete->id]
            : $this->load->profile;
    }

    /** What drills look like. */
    public function figures(): Figures
    {
        return $this->library->figures();
    }

    /** The side the ladder's text is read for. */
    public function side(): Handedness
    {
        return $this->athlete->sideFor($this->ladder()->skill);
    }

    /** The rung of the sheet; on the way back from an injury, the stage put as one. */
    public function rung(): Rung
    {
        return $this->sheet->return_stage === null
            ? $this->ladderRung()
            : $this->stageRung($this->sheet->playReturn()->firstOrFail(), $this->sheet->return_stage);
    }

    /** The rung of the sheet on its ladder, landed on the floors that are known. */
    public function ladderRung(): Rung
    {
        return $this->ladder()->rung($this->sheet->rung)?->onFloor($this->floor())
            ?? throw new \RuntimeException("Ladder {$this->sheet->ladder} has no rung {$this->sheet->rung}.");
    }

    /** @param  int  $stage  from 0 */
    public function stageRung(PlayReturn $return, int $stage): Rung
    {
        return StageRung::of(
            programme: $return->programmeAsOpened(),
            stage: $stage,
            own: $this->ladderRung(),
            nothing: $this->library->objects()['nothing'],
            longestThrowM: $this->profile()->longestThrowM[$this->ladder()->skill->id] ?? null,
            side: $return->workingSide($this->athlete),
        );
    }

    /**
     * Where it is landed: in the spaces of the session, on its floor, in the squad's usual hall; null when nobody said, and that counts as
     * hard.
     */
    public function floor(): ?Surface
    {
        return Stations::landedOn($this->sheet->trainingSession);
    }

    public function ruleSet(): RuleSet
    {
        return app(RuleSets::class)->of($this->squad);
    }

    public function readiness(): Readiness
    {
        return $this->readiness ??= (new DayReadiness([$this->athlete], $this->day()))->readiness(
            $this->athlete,
            $this->squad,
            $this->isAhead(),
        );
    }

    public function load(): AthleteLoad
    {
        return $this->load ??= $this->loads->for([$this->athlete], $this->day(), $this->sheet->id)[$this->athlete->id];
    }

    public function frame(): SessionFrame
    {
        return $this->frame ??= $this->frameWithout([]);
    }

    /** @param  list<string>  $sessions  that are taken for not planned */
    public function frameWithout(array $sessions): SessionFrame
    {
        return $this->load()->frame(
            $this->sheet->claim(), $this->otherClaims(), $this->readiness(), $this->limits(), $this->ladderRung(),
            $this->athlete->throwing_side, $sessions,
        );
    }

    /** @return list<Claim> what else is planned for the athlete from the day on */
    public function otherClaims(): array
    {
        return $this->otherClaims ??= [
            ...Sheet::plannedFrom($this->athlete->id, $this->day())
                ->whereKeyNot($this->sheet->id)
                ->get()
                ->map(fn (Sheet $sheet): Claim => $sheet->claim())
                ->values()
                ->all(),
            ...array_map(fn (Fixture $each): Claim => $each->claim(), $this->load()->fixtures->ahead($this->athlete->id)),
        ];
    }

    public function limits(): LimitCalendar
    {
        return (new AthleteLimits([$this->athlete], $this->squad, $this->day(), $this->returns()))->of($this->athlete->id, $this->load());
    }

    public function returns(): ReturnsUnderWay
    {
        return $this->returns ??= new ReturnsUnderWay([$this->athlete], $this->day());
    }

    /** @return list<int> repetitions that were done of each block */
    public function doneByPosition(): array
    {
        $done = $this->sheet->state === 'planned' ? [] : $this->sheet->doneByBlock();

        return $this->sheet->blocks->map(fn (SheetBlock $block): int => $done[$block->id] ?? 0)->values()->all();
    }

    /** What is left of the day when its work was taken away; what was done of a block that is out counts as done. */
    public function otherWork(): OtherWork
    {
        $byBlock = $this->loads->doneOf($this->sheet->id, $this->day());
        $reps = $this->sheet->doneByBlock();
        $plans = $this->plans();
        $done = [];
        foreach ($this->sheet->blocks as $i => $block) {
            $sets = $byBlock[$block->id] ?? [];
            if ($sets === []) {
                continue;
            }
            if ($this->frame()->wordFor($plans[$i])->allowsWork() && $plans[$i]->reps > 0) {
                $plans[$i] = $plans[$i]->withReps(max($plans[$i]->reps, $reps[$block->id] ?? 0));
            } else {
                $plans[$i] = $plans[$i]->withReps(0);
                $done = [...$done, ...$sets];
            }
        }

        return OtherWork::of(
            frame: $this->frame(),
            allowed: $this->allowed(),
            plans: $plans,
            done: $done,
            own: $this->onLadder(),
            others: $this->otherLadders(),
            drills: $this->drills(),
            spaces: Stations::spacesSet($this->sheet->trainingSession),
        );
    }

    /** @return array<string, WorkSource> what may be put on it: see Addable; and the blocks of the squad's templates */
    public function addable(): array
    {
        return $this->addable ??= [
            ...Addable::to(
                $this->onLadder(), $this->otherLadders(), $this->drills(), $this->sheet->focus ?? [],
            ),
            ...array_map(
                fn (WorkSource $source): WorkSource => $source->withDose($source->dose->forAthlete($this->profile(), $this->day())),
                SheetTemplate::addable($this->sheet, $this->library),
            ),
        ];
    }

    /** @return list<Drill> of the library and of the club, for this athlete and how the ladder of the sheet is done */
    private function drills(): array
    {
        return array_map(
            fn (Drill $drill): Drill => $drill->forAthlete($this->profile(), $this->day()),
            array_values($this->ladder()->drillsFor($this->profile(), app(ClubDrills::class)->known($this->squad->workspace_id))),
        );
    }

    private function onLadder(): OnLadder
    {
        return new OnLadder($this->ladder()->onFloor($this->floor()), $this->ladderRung());
    }

    /** @return list<Channel> parts that a way back keeps for itself */
    public function resting(): array
    {
        $return = $this->returns()->open($this->athlete->id);

        return $return === null ? [] : $return->site->channels();
    }

    /** What today allows beside the work that was planned. */
    public function allowed(): Allowed
    {
        return new Allowed($this->readiness(), $this->athlete->throwing_side, $this->resting());
    }

    /** @return list<OnLadder> what else the athlete climbs, and has no sheet for on that day, the ladder entered last first */
    private function otherLadders(): array
    {
        $planned = Sheet::query()
            ->where('athlete_id', $this->athlete->id)
            ->where('held_on', $this->day()->iso())
            ->where('state', '!=', Sheet::CALLED_OFF)
            ->pluck('ladder')
            ->all();
        $others = [];
        foreach (MakeSheets::standing($this->athlete->id)->whereNotIn('ladder', [...$planned, $this->sheet->ladder]) as $placement) {
            $ladder = $this->library->ladder($placement->ladder)
                ->forAthlete($this->profile(), $this->day(), $this->library->doses())
                ->onFloor($this->floor());
            $rung = $ladder->rung($placement->rung);
            if ($rung !== null && ! $placement->placing) {
                $others[] = new OnLadder($ladder, $rung);
            }
        }

        return $others;
    }

    /** @return list<BlockPlan> */
    public function plans(): array
    {
        $kept = $this->sheet->blocks->map(fn (SheetBlock $block): BlockPlan => $block->plan($this->library))->all();

        return $this->sheet->waits($this->today()) ? SessionBuilder::lowered($this->frame(), $kept) : $kept;
    }

    /** @return list<JudgedRep> of the sessions on this rung before this one */
    public function seenLast(): array
    {
        return $this->seenLast ??= JudgedEvidence::lately($this->athlete, $this->sheet->ladder, $this->sheet->rung, $this->day());
    }

    /** @return list<string> ids of the faults that a review of pictures wants worked on */
    public function asked(): array
    {
        return FilmReviews::asked($this->sheet->athlete_id, $this->sheet->ladder, $this->ladderRung()->id, $this->day());
    }

    /** @return list<Fault> two or three at most, the most important first */
    public function focus(): array
    {
        return array_values(array_filter(array_map($this->ladderRung()->fault(...), $this->sheet->focus ?? [])));
    }
}
