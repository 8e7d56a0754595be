<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\Gauge;
use Augendo\Core\Limits\Headroom;
use Augendo\Core\Limits\LimitBoard;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Word;

/** What a session of one athlete on one day has to fit into: the record, the limits, the word, and what else is planned. */
final readonly class SessionFrame
{
    /** Effort is held to this when the athlete's word is reduced. */
    public const REDUCED_EFFORT = 0.75;

    /** Who has not checked in trains at this share of the dose and effort. */
    public const UNKNOWN_SHARE = 0.6;

    public const UNKNOWN_EFFORT = 0.5;

    private LimitBoard $board;

    /** @var list<CostedSet> what stands beside it on the day */
    private array $sameDay;

    /** @var list<CostedSet> what is planned beside it and gives way to it */
    private array $givesWay;

    /**
     * @var array<int, array{plan: non-empty-list<CostedSet>, before: LoadRecord, over: list<string>}> later planned
     *         days that this session can touch, by ordinal
     */
    private array $laterDays;

    /**
     * @param  string  $session  id of the session the blocks belong to
     * @param  LoadRecord  $record  what was done
     * @param  list<CostedSet>  $otherPlans  what else is planned from that day on
     * @param  list<string>  $givingWay  sessions among them that are fitted to what this one leaves
     * @param  Layoff  $layoff  how long what the session works had not worked
     * @param  Handedness  $throwing  the athlete's throwing side
     */
    public function __construct(
        public Day $on,
        public string $session,
        public SetCost $price,
        public Readiness $readiness,
        private LoadRecord $record,
        private LimitCalendar $limits,
        private array $otherPlans,
        public Layoff $layoff,
        private Handedness $throwing,
        private array $givingWay = [],
    ) {
        $this->board = $limits->board($on, $record);
        $sameDay = $givesWay = $later = [];
        $reach = $limits->reachDays();
        foreach ($otherPlans as $set) {
            if (in_array($set->session, $givingWay, true)) {
                if ($set->day === $on->ordinal) {
                    $givesWay[] = $set;
                }
            } elseif ($set->day === $on->ordinal) {
                $sameDay[] = $set;
            } elseif ($set->day > $on->ordinal && ($reach === null || $set->day <= $on->ordinal + $reach)) {
                $later[$set->day][] = $set;
            }
        }
        ksort($later);
        $this->sameDay = $sameDay;
        $this->givesWay = $givesWay;
        $before = $record->with($sameDay);
        $laterDays = [];
        foreach ($later as $ordinal => $plan) {
            $laterDays[$ordinal] = ['plan' => $plan, 'before' => $before, 'over' => array_map(
                fn (LimitState $state): string => $state->limit->id, $limits->board(Day::fromOrdinal($ordinal), $before)->over($plan),
            )];
            $before = $before->with($plan);
        }
        $this->laterDays = $laterDays;
    }

    /** The word of the parts and the side a block loads, whether anything is counted in it or not. */
    public function wordFor(BlockPlan $block): Word
    {
        return $this->readiness->forWork($block->asked->loadedChannels(), $this->throwing->bodySide($block->asked->side));
    }

    /** How long what another rung works had not worked. */
    public function layoffOf(Rung $rung): Layoff
    {
        return Layoff::of($this->record, $this->on, $rung, $this->price);
    }

    /**
     * The same day with more of it taken: what was done already, and what stays as it is.
     *
     * @param  list<CostedSet>  $sets  of the day
     */
    public function beside(array $sets): self
    {
        return new self(
            on: $this->on,
            session: $this->session,
            price: $this->price,
            readiness: $this->readiness,
            record: $this->record->with($sets),
            limits: $this->limits,
            otherPlans: $this->otherPlans,
            layoff: $this->layoff,
            throwing: $this->throwing,
            givingWay: $this->givingWay,
        );
    }

    /** @return list<Channel> the channels a block loads that have this word */
    public function channelsWith(Word $word, BlockPlan $block): array
    {
        $side = $this->throwing->bodySide($block->asked->side);

        return array_values(
            array_filter(
                $block->asked->loadedChannels(),
                fn (Channel $channel): bool => $this->readiness->forWork([$channel], $side) === $word,
            ),
        );
    }

    /**
     * @return float the most effort the word allows, 0 to 1; no report today is never better than a report, whatever an
     *         older referral says
     */
    public function effortCap(Word $word): float
    {
        return min($this->readiness->trainsAsUnknown() ? self::UNKNOWN_EFFORT : 1.0, match ($word) {
            Word::Reduced => self::REDUCED_EFFORT,
            Word::Unknown => self::UNKNOWN_EFFORT,
            default => 1.0,
        });
    }

    /**
     * Hard limits that these blocks break on the day, or that a later planned day breaks because of them.
     *
     * @param  array<int, BlockPlan>  $blocks
     * @return list<LimitState>
     */
    public function broken(array $blocks): array
    {
        $working = array_values(array_filter($blocks, fn (BlockPlan $block): bool => $block->reps > 0));
        if ($working === []) {
            return [];
        }
        $ones = array_map(fn (BlockPlan $block): CostedSet => $block->oneRep($this->on, $this->session, $this->price), $working);

        return $this->brokenBy($ones, $this->sets($working));
    }

    /**
     * How many more repetitions of a kind the day holds, when every later planned day is to keep what is planned for it.
     *
     * @param  CostedSet  $oneRep  a set of one repetition on the day
     */
    public function roomBeforeLater(CostedSet $oneRep): Headroom
    {
        return Headroom::largest(fn (int $reps): array => $this->brokenBy([$oneRep], [$oneRep->times($reps)]));
    }

    /**
     * @param  list<CostedSet>  $ones  one repetition of each kind
     * @param  list<CostedSet>  $sets
     * @return list<LimitState>
     */
    private function brokenBy(array $ones, array $sets): array
    {
        return [...$this->board->hardTouchedBy($ones)->over([...$this->sameDay, ...$sets]), ...$this->brokenLater($sets)];
    }

    /**
     * @param  array<int, BlockPlan>  $blocks
     * @return list<LimitState> every limit that holds, with these blocks in the plan
     */
    public function states(array $blocks): array
    {
        return $this->board->states([...$this->sameDay, ...$this->givesWay, ...$this->sets($blocks)]);
    }

    /**
     * @param  array<int, BlockPlan>  $blocks
     * @return LimitState|null the hard limit that stands fullest of those these blocks touch, with them in the plan
     */
    public function fullest(array $blocks): ?LimitState
    {
        $sets = $this->sets($blocks);

        return LimitState::fullest($this->board->hardTouchedBy($sets)->states([...$this->sameDay, ...$sets]));
    }

    /** Whether a throw is called easier than its distance lets it be. */
    public function isCalledTooEasy(BlockPlan $plan): bool
    {
        $dose = $plan->asked;

        return $plan->reps > 0 && $this->price->isCalledTooEasy($dose->skill, $dose->object->id, $plan->effort, $plan->distanceM);
    }

    /** The same, no further than its effort goes. */
    public function withinReach(BlockPlan $plan): BlockPlan
    {
        $furthest = $this->price->furthestM($plan->asked->skill, $plan->asked->object->id, $plan->effort);

        return $furthest === null || $plan->distanceM === null ? $plan : $plan->withDistance(min($plan->distanceM, $furthest));
    }

    /**
     * @param  array<int, BlockPlan>  $blocks
     * @param  int  $position which of them more repetitions are wanted for
     */
    public function headroom(array $blocks, int $position): Headroom
    {
        return $this->board->headroom(
            $blocks[$position]->oneRep($this->on, $this->session, $this->price),
            [...$this->sameDay, ...$this->sets($blocks)],
        );
    }

    /**
     * What each hard limit that these blocks touch still allows this session beside what else is planned for the day,
     * in the limit's measure:
     * the budget courtside counts down.
     *
     * @param  array<BlockPlan>  $blocks
     * @return list<Gauge> those with an allowance
     */
    public function budget(array $blocks): array
    {
        $ones = array_values(
            array_map(fn (BlockPlan $block): CostedSet => $block->oneRep($this->on, $this->session, $this->price), $blocks),
        );
        $board = $this->limits->board($this->on, $this->record->with($this->sameDay));

        return array_values(array_filter($board->hardTouchedBy($ones)->gauges(), fn (Gauge $gauge): bool => $gauge->allowance !== null));
    }

    /**
     * @param  array<int, BlockPlan>  $blocks
     * @return list<CostedSet>  what the blocks cost
     */
    public function sets(array $blocks): array
    {
        return array_values(array_map(
            fn (BlockPlan $block): CostedSet => $block->cost($this->on, $this->session, $this->price),
            array_filter($blocks, fn (BlockPlan $block): bool => $block->reps > 0),
        ));
    }

    /**
     * Later days that would be fine without these sets and are not with them.
     *
     * @param  list<CostedSet>  $sets
     * @return list<LimitState>
     */
    private function brokenLater(array $sets): array
    {
        $broken = [];
        foreach ($this->laterDays as $ordinal => ['plan' => $plan, 'before' => $before, 'over' => $already]) {
            foreach ($this->limits->board(Day::fromOrdinal($ordinal), $before->with($sets))->hardTouchedBy($plan)->over($plan) as $state) {
                if (! in_array($state->limit->id, $already, true)) {
                    $broken[] = $state;
                }
            }
        }

        return $broken;
    }
}
