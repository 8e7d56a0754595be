<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Courtside\RepLog;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Returns\PlayReturn;
use App\Returns\ReturnsUnderWay;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Library\TestProtocol;
use Augendo\Core\Mechanics\FaultPattern;
use Augendo\Core\Mechanics\FocusPoints;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\BuiltSession;
use Augendo\Core\Planning\Claim;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\Equipment;
use Augendo\Core\Planning\Pace;
use Augendo\Core\Planning\SessionBuilder;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Planning\Weave;
use Augendo\Core\Returning\StageRung;
use Augendo\Core\Returning\StepAsked;
use Augendo\Core\Stations\Room;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/** Builds a sheet from its rung, or from the stage of a return, to what the day holds, and keeps it. */
final class FitSheet
{
    private function __construct(private readonly OpenSheet $open, private readonly Sheet $sheet, private readonly Library $library) {}

    /** Worked out before the write lock is taken; when somebody changed the sheet meanwhile, what they did stands. */
    public static function now(Sheet $sheet): void
    {
        $fit = self::of($sheet);
        $version = $sheet->version;
        [$row, $blocks] = $fit->built();
        $fit->keep($row, $blocks, $version);
    }

    /**
     * The sheet as it would be kept, without keeping anything: what a look shows of one that waits to be fitted to its day. Blocks are
     * named by their place, so the kept ones will have the same names.
     */
    public static function toLookAt(Sheet $sheet): Sheet
    {
        [$row, $blocks] = self::of($sheet)->built();
        $sheet->forceFill($row);
        foreach ($blocks as $block) {
            $block->forceFill(['sheet_id' => $sheet->id]);
        }

        return $sheet->setRelation('blocks', $sheet->newCollection()->make($blocks));
    }

    private static function of(Sheet $sheet): self
    {
        return new self(OpenSheet::of($sheet), $sheet, app(Library::class));
    }

    /**
     * Puts the sheet on the floor it is landed on: planned anew, once the change is kept; where somebody has worked or edited, only priced
     * anew.
     */
    public static function onItsFloor(Sheet $sheet): void
    {
        if ($sheet->state === 'planned' && ! $sheet->edited) {
            RefitPlans::afterCommit($sheet);

            return;
        }
        $floor = OpenSheet::of($sheet)->floor();
        foreach ($sheet->return_stage === null ? $sheet->blocks : [] as $block) {
            $block->update(['surface' => $block->dose(app(Library::class))->onFloor($floor)->surface]);
        }
        app(RepLog::class)->derive($sheet);
    }

    /** @return array{array<string, mixed>, list<SheetBlock>} what the sheet becomes, and its blocks */
    private function built(): array
    {
        // A sheet is built from the ladder as it is now; once started it keeps the version it was run by.
        $this->sheet->ladder_version = $this->library->ladder($this->sheet->ladder)->version;
        [$rung, $notes, $stage, $return] = $this->asked();
        $atHand = $this->sheet->trainingSession->objects;
        if ($atHand !== null) {
            [$rung, $swaps] = Equipment::fit($rung, array_intersect_key($this->library->objects(), array_flip($atHand)));
            $notes = [...$notes, ...array_map(fn (array $swap): SheetNote => SheetNote::swap(...$swap), $swaps)];
        }
        if ($stage === null) {
            [$rung, $changes] = Room::fit($rung, Stations::spacesSet($this->sheet->trainingSession));
            $notes = [...$notes, ...array_map(SheetNote::room(...), $changes)];
        }
        $landsSomewhere = fn (BlockDose $dose): bool => $dose->reps > 0 && $dose->skill->landingsPerRep > 0 && $dose->surface === null;
        if (array_filter($rung->blocks, $landsSomewhere) !== []) {
            $notes[] = SheetNote::floorNotKnown();
        }
        // Of a session that is over and only written down, the doses are what the rung asks, not what that day still held.
        $late = $this->sheet->trainingSession->entered_late;
        $fitted = fn (SessionFrame $frame): BuiltSession => SessionBuilder::build(
            $frame,
            $rung,
            asGiven: $stage !== null,
            minutes: $this->sheet->pace['minutes'] ?? null,
        );
        $built = $late ? BuiltSession::asAsked($rung) : $fitted($this->open->frame());
        $notes = [...$notes, ...array_map(fn (Trim $trim): SheetNote => SheetNote::trim($trim), $built->trims)];
        $first = $late ? [] : $this->gaveWayTo($built, $fitted);
        if ($first !== []) {
            $notes[] = SheetNote::gaveWay($first);
        }
        $focus = FocusPoints::of($this->open->seenLast(), $this->open->ladderRung()->faults, $this->open->asked());
        $row = [
            'rung' => $stage === null ? $rung->id : $this->sheet->rung,
            'return_id' => $return?->id,
            'return_stage' => $stage,
            'ladder_version' => $this->open->ladder()->version,
            'trims' => array_map(fn (SheetNote $note): array => $note->toArray(), $notes),
            'version' => $this->sheet->version + 1,
            'edited' => false,
            'stale' => false,
            'focus' => array_map(fn (Fault $fault): string => $fault->id, $focus),
            'fitted_on' => $this->open->today()->iso(),
        ];
        // Named by its place, so that a tap made offline on the sheet as it was still finds its block.
        $named = fn (BlockPlan $plan, int $position): SheetBlock => SheetBlock::of($plan, $position)
            ->forceFill(['id' => Uuid::uuid5($this->sheet->id, "block {$position}")->toString()]);

        return [$row, array_map($named, $built->blocks, array_keys($built->blocks))];
    }

    /**
     * What else is planned on the day and comes first, where without it this sheet would hold more.
     *
     * @param  \Closure(SessionFrame): BuiltSession  $fitted
     * @return list<Claim>
     */
    private function gaveWayTo(BuiltSession $built, \Closure $fitted): array
    {
        if (! $built->isHeldBackByLimits()) {
            return [];
        }
        $first = $this->sheet->claim()->comesAfter($this->open->otherClaims());
        if ($first === []) {
            return [];
        }
        $alone = $fitted($this->open->frameWithout(array_map(fn (Claim $claim): string => $claim->session, $first)));

        return $alone->blocks == $built->blocks ? [] : $first;
    }

    /**
     * @param  array<string, mixed>  $row
     * @param  list<SheetBlock>  $blocks
     */
    private function keep(array $row, array $blocks, int $version): void
    {
        Alone::with($this->sheet->athlete_id, function () use ($row, $blocks, $version): void {
            if ((int) DB::table('sheets')->where('id', $this->sheet->id)->where('state', 'planned')->value('version') !== $version) {
                $this->sheet->refresh();

                return;
            }
            $before = SheetBlock::taken($this->sheet->blocks()->get()->all());
            $this->sheet->update($row);
            $this->sheet->blocks()->delete();
            $this->sheet->blocks()->saveMany($blocks);
            $this->sheet->unsetRelation('blocks');
            if (SheetBlock::taken($blocks) !== $before) {
                RefitPlans::thatGiveWay($this->sheet);
            }
            AthletesChanged::one($this->sheet->athlete_id);
        });
    }

    /**
     * @return array{Rung, list<SheetNote>, int|null, PlayReturn|null} what to build from, what to say about it, and the
     *         stage and return it belongs to
     */
    private function asked(): array
    {
        $return = $this->open->returns()->open($this->sheet->athlete_id, $this->sheet->ladder);
        if ($return !== null) {
            return $this->onTheWayBack($return);
        }
        $rung = $this->open->ladderRung();
        $elsewhere = $this->open->returns()->open($this->sheet->athlete_id);
        if ($elsewhere !== null) {
            $without = StageRung::without($rung, $elsewhere->site->channels());

            return [$without, [SheetNote::wayBackElsewhere($elsewhere->site)], null, null];
        }
        $side = ($rung->leadingDose() ?? $rung->ownDose())->side;
        $layoff = $this->open->frame()->layoff;
        $below = $layoff->beginsAgain($side) ? $this->open->ladder()->before($rung->id) : null;

        if ($below === null && $this->sheet->isTestDay()) {
            return $this->tested($rung);
        }

        return $below === null
            ? $this->woven($this->paced($rung))
            : [$below->onFloor($this->open->floor()), [SheetNote::layoff((int) $layoff->idleDays($side), $below)], null, null];
    }

    /** @return array{Rung, list<SheetNote>, int|null, PlayReturn} */
    private function onTheWayBack(PlayReturn $return): array
    {
        $work = $this->open->returns()->work($return, $this->open->readiness());
        $word = $work->why === 'word' ? ReturnsUnderWay::word($return, $this->open->readiness()) : null;
        $notes = [SheetNote::wayBack(StepAsked::of($work), $work->stage, $word)];

        return $work->stage === null
            ? [StageRung::without($this->open->ladderRung(), $return->site->channels()), $notes, null, $return]
            : [$this->open->stageRung($return, $work->stage), $notes, $work->stage, $return];
    }

    /**
     * A test day; on any word but Full the test waits, and the day holds what was reached.
     *
     * @return array{Rung, list<SheetNote>, null, null}
     */
    private function tested(Rung $rung): array
    {
        $protocol = $this->library->tests()->for($this->open->ladder()->skill);
        $word = $this->open->readiness()->forWork($rung->loadedChannels(), $this->open->athlete->throwing_side->value);

        return $protocol === null || ! $this->open->isAhead() && ! TestProtocol::isGiven($word)
            ? [$this->paced($rung), [SheetNote::testWaits($word)], null, null]
            : [$protocol->asRung($rung), [SheetNote::emphasis(Emphasis::Test)], null, null];
    }

    /** The rung at the pace of the season the sheet belongs to. */
    private function paced(Rung $rung): Rung
    {
        $pace = $this->sheet->pace;
        if (! isset($pace['reps'])) {
            return $rung;
        }

        $grown = $rung->scaled($pace['share'] ?? 1.0);

        return Pace::at($pace['reps'], (float) $pace['effort'], $pace['distance_m'])->within($grown->ownDose())->on($grown);
    }

    /**
     * The rung with the drill of the fault that leads woven into it.
     *
     * @return array{Rung, list<SheetNote>, null, null}
     */
    private function woven(Rung $rung): array
    {
        $emphasis = Emphasis::tryFrom($this->sheet->pace['emphasis'] ?? '');
        $notes = $emphasis === null ? [] : [SheetNote::emphasis($emphasis)];
        $fault = $this->leadingFault();
        if ($fault !== null && array_filter($rung->blocks, Weave::takesTurns(...)) !== []) {
            $rung = Weave::drill($rung, $fault);
            $notes[] = SheetNote::drill($fault);
        }

        return [$rung, $notes, null, null];
    }

    private function leadingFault(): ?Fault
    {
        $rung = $this->open->ladderRung();
        $pattern = FaultPattern::leading($this->open->seenLast(), $rung->pairs());

        return $pattern === null ? null : $rung->fault($pattern->fault);
    }
}
