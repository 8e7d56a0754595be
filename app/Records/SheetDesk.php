<?php

declare(strict_types=1);

namespace App\Records;

use App\Http\Problem;
use App\Jobs\RefitSheets;
use App\Models\Athlete;
use App\Models\PlayReturn;
use App\Models\RepEvent;
use App\Models\Sheet;
use App\Models\SheetBlock;
use App\Models\Squad;
use App\Models\User;
use App\Wording\PlanWording;
use App\Wording\ReturnWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\RuleSet;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\FocusPoints;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\BuiltSession;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\Equipment;
use Augendo\Core\Planning\Pace;
use Augendo\Core\Planning\SessionBuilder;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Planning\Weave;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Word;
use Augendo\Core\Returning\StageRung;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/** One sheet with everything it has to fit into; fits it, and keeps what was fitted. */
final class SheetDesk
{
    /** Focus points come from this many sessions back. */
    private const FOCUS_SESSIONS = 2;

    private ?AthleteLoad $load = null;

    private ?SessionFrame $frame = null;

    private ?Readiness $readiness = null;

    private ?ReturnBook $returns = null;

    /** @var list<JudgedRep>|null */
    private ?array $seenLast = null;

    private function __construct(
        private readonly Library $library,
        private readonly LoadBook $loads,
        public readonly Sheet $sheet,
        public readonly Athlete $athlete,
        public readonly Squad $squad,
    ) {}

    public static function open(Sheet $sheet): self
    {
        $sheet->loadMissing('trainingSession.squad.workspace', 'athlete');

        return new self(app(Library::class), app(LoadBook::class), $sheet, $sheet->athlete, $sheet->trainingSession->squad);
    }

    /**
     * After a report, a clearance or a change of the rules: what is planned from that day on is fitted anew, unless a
     * coach has edited it by
     * hand. Marked at once, so that nobody is shown more than holds now; fitted once the change is kept, outside its
     * write lock. For one athlete
     * that is done by the time the answer is given, for more it is queued, athlete by athlete.
     *
     * @param  Athlete|list<Athlete>  $athletes
     */
    public static function refitFrom(Athlete|array $athletes, Day $on): void
    {
        $ids = array_map(fn (Athlete $athlete): string => $athlete->id, is_array($athletes) ? $athletes : [$athletes]);
        $planned = fn () => DB::table('sheets')
            ->whereIn('athlete_id', $ids)
            ->where('held_on', '>=', $on->iso())
            ->where('state', 'planned')
            ->where('edited', false);
        if ($planned()->update(['stale' => true]) === 0) {
            return;
        }
        $concerned = $planned()->distinct()->pluck('athlete_id')->all();
        Athlete::query()->whereIn('id', $concerned)->increment('revision');
        DB::afterCommit(function () use ($concerned, $athletes): void {
            foreach ($concerned as $id) {
                is_array($athletes) ? RefitSheets::dispatch($id) : self::refitStale($id);
            }
        });
    }

    /** Fits every sheet of an athlete that waits for it. */
    public static function refitStale(string $athleteId): void
    {
        foreach (
            Sheet::query()
                ->where('athlete_id', $athleteId)
                ->where('stale', true)
                ->where('state', 'planned')
                ->where('edited', false)
                ->orderBy('held_on')
                ->get() as $sheet
        ) {
            self::open($sheet)->fit();
        }
    }

    /** A sheet that was just made, or put on another rung, is fitted once that is kept. */
    public static function fitAfterCommit(Sheet $sheet): void
    {
        // Marked, so that the worker does it should this be interrupted in between.
        $sheet->update(['stale' => true]);
        DB::afterCommit(function () use ($sheet): void {
            $kept = Sheet::query()->find($sheet->id);
            if ($kept !== null) {
                self::open($kept)->fit();
            }
        });
    }

    /**
     * Sheets of the day that were made ahead of it are fitted to the day's word before anybody looks at them.
     *
     * @param  list<string>  $athleteIds
     */
    public static function freshen(array $athleteIds, Day $today): void
    {
        $old = Sheet::query()
            ->whereIn('athlete_id', $athleteIds)
            ->where('held_on', $today->iso())
            ->where('state', 'planned')
            ->where('edited', false)
            ->where(fn ($query) => $query->whereNull('fitted_on')->orWhere('fitted_on', '<', $today->iso()))->get();
        foreach ($old as $sheet) {
            self::open($sheet)->fit();
        }
    }

    public function day(): Day
    {
        return $this->sheet->day();
    }

    public function ladder(): Ladder
    {
        return $this->library->ladder($this->sheet->ladder, $this->sheet->ladder_version);
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

    private function ladderRung(): Rung
    {
        return $this->ladder()->rung($this->sheet->rung)?->onFloor($this->floor(...))
            ?? throw new \RuntimeException("Ladder {$this->sheet->ladder} has no rung {$this->sheet->rung}.");
    }

    /**
     * Where blocks of a kind land: on the floor of their station, of the session, of the squad's usual hall; null when
     * nobody said, and that counts as hard.
     */
    private function floor(BlockKind $kind): ?Surface
    {
        $session = $this->sheet->trainingSession;
        foreach ($session->stations['stations'] ?? [] as $station) {
            if ($station['surface'] !== null && in_array($kind->value, $station['kinds'], true)) {
                return Surface::from($station['surface']);
            }
        }

        return Surface::tryFrom((string) ($session->floor ?? $this->squad->floor));
    }

    private function stageRung(PlayReturn $return, int $stage): Rung
    {
        $profile = $this->loads->profiles([$this->athlete], $this->day())[$this->athlete->id];

        return StageRung::of(
            $return->programmeAsOpened(), $stage, $this->ladderRung(), $this->library->objects()['nothing'],
            $profile->longestThrowM[$this->ladder()->skill->id] ?? null, $return->workingSide($this->athlete),
        );
    }

    public function ruleSet(): RuleSet
    {
        return app(RuleSetBook::class)->of($this->squad);
    }

    public function readiness(): Readiness
    {
        return $this->readiness ??= (new ReadinessBook([$this->athlete], $this->day()))->readiness(
            $this->athlete,
            $this->squad,
            $this->isAhead(),
        );
    }

    /** A day that has not come: nobody can have checked in yet, so the sheet is planned for a calm day and fitted anew on it. */
    public function isAhead(): bool
    {
        return $this->day()->isAfter($this->today());
    }

    private function today(): Day
    {
        return $this->squad->workspace->today();
    }

    public function load(): AthleteLoad
    {
        return $this->load ??= $this->loads->for([$this->athlete], $this->day(), $this->sheet->id)[$this->athlete->id];
    }

    public function frame(): SessionFrame
    {
        return $this->frame ??= $this->load()->frame(
            $this->day(), $this->sheet->id, $this->readiness(), $this->limits(), $this->ladderRung(),
            $this->athlete->throwing_side,
        );
    }

    public function limits(): LimitCalendar
    {
        return (new LimitBook([$this->athlete], $this->squad, $this->day(), $this->returns()))->of($this->athlete->id, $this->load());
    }

    public function returns(): ReturnBook
    {
        return $this->returns ??= new ReturnBook([$this->athlete], $this->day());
    }

    /** @return list<BlockPlan> */
    public function plans(): array
    {
        $kept = $this->sheet->blocks->map(fn (SheetBlock $block): BlockPlan => $block->plan($this->library))->all();

        return $this->sheet->stale ? SessionBuilder::lowered($this->frame(), $kept) : $kept;
    }

    /**
     * Builds the sheet from its rung, or from the stage of a return, and keeps it. Worked out before the write lock is taken; when somebody
     * changed the sheet meanwhile, what they did stands.
     */
    public function fit(): void
    {
        $version = $this->sheet->version;
        // A sheet is built from the ladder as it is now; once started it keeps the version it was run by.
        $this->sheet->ladder_version = $this->library->ladder($this->sheet->ladder)->version;
        [$rung, $about, $stage, $return] = $this->asked();
        $atHand = $this->sheet->trainingSession->objects;
        if ($atHand !== null) {
            [$rung, $swaps] = Equipment::fit($rung, array_intersect_key($this->library->objects(), array_flip($atHand)));
            $about = [...$about, ...array_map(fn (array $swap): string => PlanWording::swap(...$swap), $swaps)];
        }
        $landsSomewhere = fn (BlockDose $dose): bool => $dose->reps > 0 && $dose->skill->landingsPerRep > 0 && $dose->surface === null;
        if (array_filter($rung->blocks, $landsSomewhere) !== []) {
            $about[] = PlanWording::FLOOR_NOT_KNOWN;
        }
        $built = SessionBuilder::build($this->frame(), $rung, asGiven: $stage !== null, minutes: $this->sheet->pace['minutes'] ?? null);
        $row = [
            'rung' => $stage === null ? $rung->id : $this->sheet->rung, 'return_id' => $return?->id, 'return_stage' => $stage,
            'ladder_version' => $this->ladder()->version,
            'trims' => [
                ...array_map(fn (string $sentence): array => ['block' => null, 'sentence' => $sentence], $about),
                ...$this->tell($built),
            ],
            'version' => $version + 1, 'edited' => false, 'stale' => false,
            'focus' => array_map(fn (Fault $fault): string => $fault->id, FocusPoints::of($this->seenLast(), $this->ladderRung()->faults)),
            'fitted_on' => $this->today()->iso(),
        ];
        DB::transaction(function () use ($row, $built, $version): void {
            if ((int) DB::table('sheets')->where('id', $this->sheet->id)->where('state', 'planned')->value('version') !== $version) {
                $this->sheet->refresh();

                return;
            }
            $this->sheet->update($row);
            $this->sheet->blocks()->delete();
            foreach ($built->blocks as $position => $plan) {
                // Named by its place, so that a tap made offline on the sheet as it was still finds its block.
                $this->sheet->blocks()->save(
                    SheetBlock::of($plan, $position)->forceFill(['id' => Uuid::uuid5($this->sheet->id, "block {$position}")->toString()]),
                );
            }
            $this->sheet->unsetRelation('blocks');
            Athlete::raiseRevision($this->athlete->id);
        });
    }

    /**
     * Puts the sheet on the floor it is landed on: planned anew, once the change is kept; where somebody has worked or edited, only priced
     * anew.
     */
    public function land(): void
    {
        if ($this->sheet->state === 'planned' && ! $this->sheet->edited) {
            self::fitAfterCommit($this->sheet);

            return;
        }
        foreach ($this->sheet->return_stage === null ? $this->sheet->blocks : [] as $block) {
            $dose = $block->dose($this->library);
            $block->update(['surface' => $dose->onFloor($this->floor($dose->kind))->surface]);
        }
        app(RepLog::class)->derive($this->sheet);
    }

    /**
     * @return array{Rung, list<string>, int|null, PlayReturn|null} what to build from, what to say about it, and the
     *         stage and return it belongs to
     */
    private function asked(): array
    {
        $rung = $this->ladderRung();
        $return = $this->returns()->open($this->athlete->id, $this->sheet->ladder);
        if ($return !== null) {
            $work = $this->returns()->work($return, $this->readiness());

            return $work->stage === null
                ? [
                    StageRung::without($rung, $return->site->channels()),
                    [
                        'On the way back. '.ReturnWording::sentence($return, $work).(
                            $work->why === 'word'
                                ? ' Not today: the word is '.Wording::word(ReturnBook::word($return, $this->readiness())).'.'
                                : ''
                        ),
                    ],
                    null,
                    $return,
                ]
                : [
                    $this->stageRung($return, $work->stage),
                    [
                        'On the way back, stage '
                            .($work->stage + 1)
                            .' of '
                            .count($return->programmeAsOpened()->stages)
                            .'. '
                            .ReturnWording::sentence($return, $work),
                    ],
                    $work->stage,
                    $return,
                ];
        }
        $elsewhere = $this->returns()->open($this->athlete->id);
        if ($elsewhere !== null) {
            $rung = StageRung::without($rung, $elsewhere->site->channels());

            return [
                $rung,
                ["On the way back on another ladder: what loads the {$elsewhere->site->value} is left to the return."],
                null,
                null,
            ];
        }
        $side = ($rung->leadingDose() ?? $this->ladderRung()->ownDose())->side;
        $layoff = $this->frame()->layoff;
        $idle = $layoff->idleDays($side);
        $below = $layoff->beginsAgain($side) ? $this->ladder()->before($rung->id) : null;

        return $below === null
            ? $this->woven($this->paced($rung))
            : [
                $below->onFloor($this->floor(...)),
                ["{$idle} idle days: begin again on the rung below, “{$below->name}”. What was missed is not made up."],
                null,
                null,
            ];
    }

    /**
     * The rung with the drill of the fault that leads woven into it.
     *
     * @return array{Rung, list<string>, null, null}
     */
    private function woven(Rung $rung): array
    {
        $about = $this->paceWords();
        $fault = $this->leadingFault();
        if ($fault !== null && array_filter($rung->blocks, Weave::takesTurns(...)) !== []) {
            $rung = Weave::drill($rung, $fault);
            $about[] = "“{$fault->name}” led last time: its drill goes before the judged block and again in the middle of it.";
        }

        return [$rung, $about, null, null];
    }

    private function leadingFault(): ?Fault
    {
        $pattern = FaultPattern::leading($this->seenLast());

        return $pattern === null ? null : $this->ladderRung()->fault($pattern->fault);
    }

    /** @return list<JudgedRep> of the sessions on this rung before this one */
    public function seenLast(): array
    {
        return $this->seenLast ??= self::seen($this->athlete, $this->sheet->ladder, $this->sheet->rung, $this->day());
    }

    /** @return list<JudgedRep> of the last sessions on a rung before a day, in order: what focus points come from */
    public static function seen(Athlete $athlete, string $ladder, string $rung, Day $before): array
    {
        return Sheet::query()
            ->with(['blocks', 'events'])
            ->where('athlete_id', $athlete->id)
            ->where('ladder', $ladder)
            ->where('rung', $rung)
            ->whereNull('return_stage')
            ->where('state', 'finished')
            ->where('held_on', '<', $before->iso())
            ->orderByDesc('held_on')
            ->limit(self::FOCUS_SESSIONS)
            ->get()
            ->reverse()
            ->flatMap(fn (Sheet $sheet): array => self::judgedReps($sheet, app(RepLog::class)->safetyFaults($sheet)))->values()->all();
    }

    /**
     * The repetitions of a sheet that are evidence: those of judged blocks, done on the side they ask for.
     *
     * @param  list<string>  $safetyFaults
     * @return list<JudgedRep>
     */
    public static function judgedReps(Sheet $sheet, array $safetyFaults): array
    {
        $blocks = $sheet->blocks->keyBy('id');

        return SheetEvents::judged(array_values(array_filter(SheetEvents::standing(
            $sheet->events,
        ), function (RepEvent $rep) use ($blocks): bool {
            $block = $blocks[$rep->block_id];
            assert($block instanceof SheetBlock);

            return $block->judged && $rep->side === $block->side->value;
        })), $safetyFaults);
    }

    /** @return list<Fault> two or three at most, the most important first */
    public function focus(): array
    {
        return array_values(array_filter(array_map($this->ladderRung()->fault(...), $this->sheet->focus ?? [])));
    }

    /** The rung at the pace of the season the sheet belongs to. */
    private function paced(Rung $rung): Rung
    {
        $pace = $this->sheet->pace;
        if (! isset($pace['reps'])) {
            return $rung;
        }

        return Pace::at($pace['reps'], (float) $pace['effort'], $pace['distance_m'])->within($rung->ownDose())->on($rung);
    }

    /** @return list<string> what the season makes of the day */
    private function paceWords(): array
    {
        $emphasis = Emphasis::tryFrom($this->sheet->pace['emphasis'] ?? '');

        return $emphasis === null ? [] : ['From the season: '.lcfirst(PlanWording::emphasis($emphasis)).'.'];
    }

    /** @throws Problem when the day of the session has not come */
    public function refuseAhead(): void
    {
        if ($this->isAhead()) {
            throw new Problem(
                409,
                'Not today',
                'This session is planned for '
                    .Wording::day($this->day())
                    .'. To train today, plan a session for today: its doses are fitted to today’s word.',
            );
        }
    }

    /** @throws Problem when somebody saved the sheet since it was read */
    public function refuseStale(int $version): void
    {
        if ($version !== $this->sheet->version) {
            throw new Problem(
                409,
                'Changed meanwhile',
                "Somebody saved this sheet since you opened it (version {$this->sheet->version}, yours {$version}). "
                    .'Your doses are kept on the screen: look at both, then save again.',
                extra: ['version' => $this->sheet->version],
            );
        }
    }

    /**
     * Keeps edited doses.
     *
     * @param  list<array{id: string, sets: int, reps: int, effort: float, distance_m: float|null}>  $doses
     *
     * @throws Problem when they are stale, or break a hard limit or the word
     */
    public function save(array $doses, int $version): void
    {
        DB::transaction(function () use ($doses, $version): void {
            $this->sheet->refresh();
            $this->refuseStale($version);
            if ($this->sheet->state === 'finished') {
                throw new Problem(409, 'Already finished', 'A finished session keeps its doses.');
            }
            $plans = $this->withDoses($doses);
            $refusals = $this->refusals($plans);
            if ($refusals !== []) {
                throw new Problem(422, 'Over a hard limit', implode(' ', $refusals), ['blocks' => $refusals]);
            }
            foreach ($this->sheet->blocks as $i => $block) {
                $block->update([
                    'sets' => $plans[$i]->sets,
                    'reps' => $plans[$i]->reps,
                    'effort' => $plans[$i]->effort,
                    'distance_m' => $plans[$i]->distanceM,
                ]);
            }
            $this->sheet->update(['version' => $version + 1, 'edited' => true]);
            Athlete::raiseRevision($this->athlete->id);
        });
    }

    /** @param  array<string, mixed>  $given  validated minutes and session RPE; finishing again changes only these */
    public function finish(array $given, User $by): void
    {
        DB::transaction(function () use ($given, $by): void {
            $this->sheet->update([
                ...$given,
                'state' => 'finished',
                'finished_at' => $this->sheet->finished_at ?? now()->toIso8601String(),
            ]);
            $this->recordAttempt($by);
            Athlete::raiseRevision($this->athlete->id);
            self::refitFrom($this->athlete, $this->day());
        });
    }

    private function recordAttempt(User $by): void
    {
        $return = $this->sheet->return_stage === null ? null : $this->sheet->playReturn()->first();
        $block = $this->sheet->blocks()->where('judged', true)->first();
        if ($return === null || $block === null) {
            return;
        }
        $done = array_filter(SheetEvents::standing($this->sheet->events()->get()), fn ($rep): bool => $rep->block_id === $block->id);
        $judged = array_filter($done, fn ($rep): bool => $rep->verdict === 'good' || $rep->verdict === 'not_good');
        $good = array_filter($judged, fn ($rep): bool => $rep->verdict === 'good');
        app(ReturnDesk::class)->recordAttempt(
            $this->sheet, ReturnBook::word($return, $this->readiness()), count($done),
            $judged === [] ? null : count($good) / count($judged), $by,
        );
    }

    /** @return list<array{block: int|null, sentence: string}> */
    private function tell(BuiltSession $built): array
    {
        return array_map(fn (Trim $trim): array => [
            'block' => $trim->block,
            'sentence' => Wording::trim($trim, $this->day()),
        ], $built->trims);
    }

    /**
     * Edited doses laid over the blocks of the sheet.
     *
     * @param  list<array{id: string, sets: int, reps: int, effort: float, distance_m: float|null}>  $doses
     * @return list<BlockPlan>
     */
    public function withDoses(array $doses): array
    {
        $byId = array_column($doses, null, 'id');

        return $this->sheet->blocks->map(function (SheetBlock $block) use ($byId): BlockPlan {
            $dose = $byId[$block->id] ?? null;

            return $dose === null
                ? $block->plan($this->library)
                : new BlockPlan($block->dose($this->library), $dose['sets'], $dose['reps'], $dose['effort'], $dose['distance_m']);
        })->all();
    }

    /**
     * Why these doses may not be done: a hard limit, or the word.
     *
     * @param  list<BlockPlan>  $plans
     * @return list<string>
     */
    public function refusals(array $plans): array
    {
        $refusals = [];
        foreach ($this->frame()->broken($plans) as $state) {
            $refusals[] = "{$state->limit->label}: ".Wording::limit($state, $this->day());
        }
        foreach ($plans as $plan) {
            $word = $this->frame()->wordFor($plan);
            if ($plan->reps === 0) {
                continue;
            }
            $title = Wording::blockKind($plan->asked->kind).' “'.$plan->asked->title.'”';
            if (! $word->allowsWork()) {
                $refusals[] = "{$title}: the word is ".Wording::word($word).', this work is not for today.'.(
                    $word === Word::Refer ? ' It waits for a licensed clinician.' : ''
                );
            } elseif ($plan->effort > $this->frame()->effortCap($word) + 1e-9) {
                $refusals[] = "{$title}: at most "
                    .Wording::percent($this->frame()->effortCap($word))
                    .' effort while the word is '
                    .Wording::word($word)
                    .'.';
            }
        }

        return array_values(array_unique($refusals));
    }

    /** @return list<string> what may still be trained, when something may not */
    public function swaps(): array
    {
        $readiness = $this->readiness();
        $free = array_values(
            array_filter(Channel::cases(), fn (Channel $channel): bool => $readiness->channels[$channel->value]->allowsWork()),
        );
        if (count($free) === count(Channel::cases()) || $free === []) {
            return [];
        }
        $possible = array_filter(
            $this->rung()->blocks,
            fn (BlockDose $dose): bool => $dose->reps > 0
                && $readiness->forWork($dose->loadedChannels(), $this->athlete->throwing_side->bodySide($dose->side))->allowsWork(),
        );

        return [
            'Free today: '.implode(', ', array_map(Wording::channel(...), $free)).'.',
            $possible === []
                ? 'Nothing counted on this rung is free of the sore part. Footwork without the swing, watching and calling are.'
                : 'From this rung: '.implode(', ', array_map(fn (BlockDose $dose): string => lcfirst($dose->title), $possible)).'.',
        ];
    }
}
