<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Gates\Gate;
use Augendo\Core\Instant;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Side;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Stations\Space;

/**
 * What is left to do on a day whose word, limit or return took the work of the rung away: from every ladder the athlete stands on and from
 * the drills, in the order of a session, inside the word and all limits, no longer than the session would have been. Work that costs no
 * limit fills the time; nothing that costs one is added because there is room.
 */
final readonly class OtherWork
{
    /** How a sore place is, is asked again before its work is swapped, when it was told longer ago than this. */
    public const ASK_AGAIN_MIN = 15;

    /** A shorter session is not worth putting together. */
    private const LEAST_MIN = 15;

    /** The other side does easy repetitions, whatever the rung asks of the leading one. */
    private const OTHER_SIDE_EFFORT = 0.5;

    /** A second ladder is begun only where so many minutes are left. */
    private const SECOND_LADDER_MIN = 8;

    /**
     * @param  array<int, BlockPlan>  $kept  of the sheet as it is, by position: what stays, never more than it was
     * @param  array<int, BlockPlan>  $out  of the sheet as it is, by position: what is not for today
     * @param  list<BlockPlan>  $added  judged only on the ladder that leads: what is on no rung of a sheet is counted
     * @param  list<WorkSource>  $sources  of the added ones, in the same order
     * @param  list<Trim>  $trims  of the added ones, by their position among them; null: left out whole, and not among them
     * @param  OnLadder|null  $leads  the other ladder whose own dose is among the added
     */
    private function __construct(
        public array $kept,
        public array $out,
        public array $added,
        public array $sources,
        public array $trims,
        public ?OnLadder $leads,
    ) {}

    /**
     * Whether the work the session is for is gone: nothing of it that is judged is left to do, or may be done.
     *
     * @param  array<int, BlockPlan>  $plans  of the sheet
     */
    public static function isDue(Readiness $readiness, Handedness $throwing, array $plans): bool
    {
        $stands = fn (BlockPlan $plan): bool => $plan->asked->judged && $plan->reps > 0
            && $readiness->forWork($plan->asked->loadedChannels(), $throwing->bodySide($plan->asked->side))->allowsWork();

        return array_filter($plans, $stands) === [];
    }

    /**
     * @param  SessionFrame  $frame  of the sheet, without what it plans
     * @param  array<int, BlockPlan>  $plans  of the sheet, as they are fitted to the day
     * @param  list<CostedSet>  $done  what was done of blocks that are out already
     * @param  OnLadder  $own  where the athlete stands on the ladder of the sheet
     * @param  list<OnLadder>  $others  the other ladders, in the order in which they are to be thought of
     * @param  list<Drill>  $drills
     * @param  list<Space>  $spaces  of the session; none: nobody has said
     */
    public static function of(
        SessionFrame $frame, Allowed $allowed, array $plans, array $done, OnLadder $own, array $others, array $drills, array $spaces = [],
    ): self {
        $asked = array_map(BlockPlan::asAsked(...), $own->rung->blocks);
        $seconds = max(60 * self::LEAST_MIN, SessionClock::seconds($asked));
        $lowered = SessionBuilder::lowered($frame->beside($done), array_values($plans));
        $kept = array_filter($lowered, fn (BlockPlan $plan): bool => ! $plan->isDropped() && $allowed->allows($plan->asked));
        $pick = new WorkPicked($allowed, array_values($kept), $seconds);
        $leads = null;
        foreach ($others as $other) {
            $layoff = $frame->layoffOf($other->rung);
            $at = ($layoff->beginsAgain(Side::Dominant) ? $other->begunAgain() : $other)->inRoom($spaces);
            $judged = $at->rung->judgedDose();
            if ($judged === null || ! $allowed->allows($judged)) {
                continue;
            }
            if ($leads !== null && $pick->secondsLeft() < 60 * self::SECOND_LADDER_MIN) {
                break;
            }
            $pick->ladder($at, $layoff);
            $leads ??= $at;
        }
        $pick->warmUp($drills, $own);
        $pick->ownLadder($own->inRoom($spaces), self::OTHER_SIDE_EFFORT);
        $pick->drills($drills, [$own, ...$others]);
        $sources = $pick->inOrder();
        $doses = array_map(fn (WorkSource $source): BlockDose => $source->dose, $sources);
        $built = SessionBuilder::build(
            frame: $frame->beside([...$done, ...$frame->sets($kept)]),
            rung: new Rung('other-work', '', '', true, [], [], new Gate, $doses),
            minutes: (int) ceil(($seconds - SessionClock::seconds($kept)) / 60),
            layoffs: array_filter(array_map(fn (WorkSource $source): ?Layoff => $source->layoff, $sources)),
        );

        return self::withoutDropped($kept, array_diff_key($lowered, $kept), $built, $sources, $leads);
    }

    /**
     * The sore places to ask about before this is taken up: told of too long ago, or on another day.
     *
     * @param  Instant  $told  the moment from which on an answer is fresh: see ASK_AGAIN_MIN
     * @return list<SorenessReport>
     */
    public static function toAskAgain(Readiness $readiness, Instant $told): array
    {
        return array_values(array_filter(
            $readiness->ruledOutBy(),
            fn (SorenessReport $report): bool => $told->isAfter($report->at),
        ));
    }

    /** @return int|null minutes of what is left; null: nothing is */
    public function minutes(): ?int
    {
        $plans = [...$this->kept, ...$this->added];

        return $plans === [] ? null : (int) ceil(SessionClock::seconds($plans) / 60);
    }

    /** @return list<string> ids of the objects that only what is out asks for, such as a ball for a blistered hand */
    public function objectsOut(): array
    {
        return array_values(array_diff(self::objects($this->out), self::objects([...$this->kept, ...$this->added])));
    }

    /**
     * @param  array<int, BlockPlan>  $plans
     * @return list<string>
     */
    private static function objects(array $plans): array
    {
        $held = array_filter($plans, fn (BlockPlan $plan): bool => $plan->asked->object->massKg !== null);

        return array_values(array_unique(array_map(fn (BlockPlan $plan): string => $plan->asked->object->id, $held)));
    }

    /**
     * What is left in the order of a session: what was on the sheet before what is new to it.
     *
     * @return list<array{BlockPlan, int|null, int|null}> the dose; its position on the sheet, or among the added ones
     */
    public function inOrder(): array
    {
        $all = [
            ...array_map(fn (BlockPlan $plan, int $at): array => [$plan, $at, null], $this->kept, array_keys($this->kept)),
            ...array_map(fn (BlockPlan $plan, int $at): array => [$plan, null, $at], $this->added, array_keys($this->added)),
        ];
        usort($all, fn (array $a, array $b): int => $a[0]->asked->kind->place() <=> $b[0]->asked->kind->place());

        return $all;
    }

    /**
     * What the limits took whole is not offered, only said; the rest keeps its trims under its new position.
     *
     * @param  array<int, BlockPlan>  $kept
     * @param  array<int, BlockPlan>  $out
     * @param  list<WorkSource>  $sources
     */
    private static function withoutDropped(array $kept, array $out, BuiltSession $built, array $sources, ?OnLadder $leads): self
    {
        $at = [];
        foreach ($built->blocks as $i => $plan) {
            if (! $plan->isDropped()) {
                $at[$i] = count($at);
            }
        }
        $isLeading = fn (int $i): bool => $built->blocks[$i]->asked->judged && $sources[$i]->ladder === $leads?->ladder->id;
        $leading = array_filter(array_keys($at), $isLeading);

        return new self(
            kept: array_map(fn (BlockPlan $plan): BlockPlan => $plan->judgedIf(false), $kept),
            out: $out,
            added: array_map(fn (int $i): BlockPlan => $built->blocks[$i]->judgedIf($isLeading($i)), array_keys($at)),
            sources: array_values(array_intersect_key($sources, $at)),
            trims: array_map(fn (Trim $trim): Trim => $trim->with([
                'block' => $at[$trim->block ?? -1] ?? null,
                'title' => $trim->block === null ? $trim->title : $built->blocks[$trim->block]->asked->title,
            ]), array_values(array_filter($built->trims, fn (Trim $trim): bool => $trim->what !== 'minutes'))),
            leads: $leading === [] ? null : $leads,
        );
    }
}
