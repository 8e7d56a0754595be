<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitFigures;
use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\Word;

/**
 * Fits the doses of a rung to one athlete on one day: first the word, then the layoff, then the limits, in the stated order of
 * trimming. What comes out never breaks a hard limit. The dose the session is for gives way last: a session without it does not count
 * on the rung, and keeps only what loads nothing of it.
 */
final class SessionBuilder
{
    /** Efforts are lowered in these steps, distances by whole metres. */
    private const EFFORT_STEP = 0.05;

    /** @var array<int, BlockPlan> by position from 0 */
    private array $blocks;

    /** @var array<int, BlockPlan> the doses before any limit was looked at */
    private array $wanted;

    /** @var list<Trim> */
    private array $trims = [];

    /** @var \Closure(): bool whether the blocks fit what is looked at just now: the minutes, then the limits */
    private \Closure $fits;

    /** @var list<int> positions of the dose the session is for */
    private readonly array $own;

    /** @param  array<int, BlockPlan>  $blocks */
    private function __construct(private readonly SessionFrame $frame, array $blocks, private readonly bool $asGiven)
    {
        $judged = array_filter($blocks, fn (BlockPlan $block): bool => $block->asked->judged);
        $this->own = array_keys($judged === [] ? self::of(BlockKind::Whole, $blocks) : $judged);
        $this->fits = fn (): bool => array_filter($this->blocks, $frame->isCalledTooEasy(...)) === []
            && $this->frame->broken($this->blocks) === [];
        $this->blocks = $blocks;
        $this->wanted = $this->blocks;
    }

    /**
     * @param  bool  $asGiven  whether the doses given are the answer to a reduced word and to idle days already, as on the way back from
     *                         an injury: they are then not scaled again
     * @param  int|null  $minutes  that the session may take; null when time does not matter
     * @param  array<int, Layoff>  $layoffs  of blocks, by position, that are of another rung than the one the frame is about
     */
    public static function build(
        SessionFrame $frame, Rung $rung, bool $asGiven = false, ?int $minutes = null, array $layoffs = [],
    ): BuiltSession {
        $builder = new self($frame, array_map(fn (BlockDose $dose): BlockPlan => BlockPlan::asAsked($dose), $rung->blocks), $asGiven);
        $builder->fitWord();
        if (! $asGiven) {
            $builder->fitLayoff($layoffs);
        }
        $builder->fitReach();
        if ($minutes !== null) {
            $builder->fitMinutes($minutes);
        }
        $builder->wanted = $builder->blocks;
        $builder->fitLimits();
        $builder->tellLimitTrims();
        $builder->leaveOutWithoutOwn();
        $builder->leaveOutUncounted();

        return new BuiltSession(array_values($builder->blocks), $builder->trims);
    }

    /**
     * Doses that were fitted to something that has changed since: never more than they were, and never more than is left now.
     *
     * @param  list<BlockPlan>  $plans
     * @return list<BlockPlan> as many, in the same order
     */
    public static function lowered(SessionFrame $frame, array $plans): array
    {
        $builder = new self($frame, $plans, asGiven: true);
        foreach ($builder->blocks as $i => $block) {
            $word = $frame->wordFor($block);
            $builder->blocks[$i] = $word->allowsWork()
                ? $block->withEffort(min($block->effort, $frame->effortCap($word)))
                : $block->withReps(0);
        }
        $builder->fitReach();
        $builder->wanted = $builder->blocks;
        $builder->fitLimits();

        return array_values($builder->blocks);
    }

    private function fitWord(): void
    {
        foreach ($this->blocks as $i => $block) {
            $word = $this->frame->wordFor($block);
            if (
                $block->reps === 0
                || $word === Word::Full
                || ($this->asGiven && $word === Word::Reduced && ! $this->frame->readiness->trainsAsUnknown())
            ) {
                continue;
            }
            $channels = $this->frame->channelsWith($word, $block);
            $isWarmUp = $block->asked->kind === BlockKind::WarmUp;
            $share = $word === Word::Unknown ? SessionFrame::UNKNOWN_SHARE : (float) $word->multiplier();
            // Warm-up repetitions are kept unless the word is none.
            $reps = $isWarmUp && $word->allowsWork() ? $block->reps : (int) floor($block->reps * $share + 1e-9);
            $effort = min($block->effort, $this->frame->effortCap($word));
            if ($reps < $block->reps) {
                $this->trims[] = new Trim(
                    $i, $reps === 0 ? 'dropped' : 'reps', $block->reps, $reps, 'word', word: $word, channels: $channels,
                );
            }
            if ($reps > 0 && $effort < $block->effort) {
                $this->trims[] = new Trim($i, 'effort', $block->effort, $effort, 'word', word: $word, channels: $channels);
            }
            $this->blocks[$i] = $block->withReps($reps)->withEffort($effort);
        }
    }

    /**
     * Nothing is counted in a hold or a loosening, and a part that may not work does not do them either: they are left
     * out, and the trims renumbered.
     */
    private function leaveOutUncounted(): void
    {
        $out = array_filter(
            $this->blocks,
            fn (BlockPlan $block): bool => $block->asked->reps === 0 && ! $this->frame->wordFor($block)->allowsWork(),
        );
        if ($out === []) {
            return;
        }
        $this->blocks = array_diff_key($this->blocks, $out);
        $position = array_flip(array_keys($this->blocks));
        $this->trims = array_map(
            fn (Trim $trim): Trim => $trim->with(['block' => $position[$trim->block] ?? null]),
            $this->trims,
        );
        foreach ($out as $block) {
            $word = $this->frame->wordFor($block);
            $this->trims[] = new Trim(
                null, 'dropped', 0, 0, 'word', word: $word, channels: $this->frame->channelsWith($word, $block),
                title: $block->asked->title,
            );
        }
        $this->blocks = array_values($this->blocks);
    }

    /** @param  array<int, Layoff>  $layoffs  by position, where it is not that of the frame */
    private function fitLayoff(array $layoffs): void
    {
        foreach ($this->blocks as $i => $block) {
            $side = $block->asked->side;
            $layoff = $layoffs[$i] ?? $this->frame->layoff;
            $reps = (int) floor($block->reps * $layoff->share($side) + 1e-9);
            if (
                $block->reps === 0
                || ! $layoff->isDue($side)
                || in_array($block->asked->kind, [BlockKind::WarmUp, BlockKind::Rehearsal], true)
            ) {
                continue;
            }
            $effort = $layoff->effort($side, $block->effort);
            if ($reps < $block->reps) {
                $this->trims[] = new Trim(
                    $i, $reps === 0 ? 'dropped' : 'reps', $block->reps, $reps, 'layoff',
                    idleDays: $layoff->idleDays($side),
                );
            }
            if ($reps > 0 && $effort < $block->effort - 1e-9) {
                $this->trims[] = new Trim($i, 'effort', $block->effort, $effort, 'layoff', idleDays: $layoff->idleDays($side));
            }
            $this->blocks[$i] = $block->withReps($reps)->withEffort($effort);
        }
    }

    /** A throw is never called easier than its distance lets it be: it is thrown nearer. */
    private function fitReach(): void
    {
        foreach ($this->blocks as $i => $block) {
            if ($block->reps > 0 && $this->frame->isCalledTooEasy($block)) {
                $nearer = $this->frame->withinReach($block);
                $this->trims[] = new Trim($i, 'distance', (float) $block->distanceM, (float) $nearer->distanceM, 'reach');
                $this->blocks[$i] = $nearer;
            }
        }
    }

    /** What does not fit the minutes goes in the order in which it would go for a limit; the warm-up and the cool-down stay. */
    private function fitMinutes(int $minutes): void
    {
        $before = $this->blocks;
        $limits = $this->fits;
        $this->fits = fn (): bool => SessionClock::seconds($this->blocks) <= 60 * $minutes;
        $this->trim([
            ...$this->besideOwn(),
            [$this->beside(BlockKind::Rehearsal), 'dropped'],
            [$this->own, 'reps'], [$this->own, 'dropped'],
        ]);
        foreach ($this->blocks as $i => $block) {
            if ($block->reps < $before[$i]->reps) {
                $this->trims[] = new Trim(
                    $i, $block->reps === 0 ? 'dropped' : 'reps', $before[$i]->reps, $block->reps, 'minutes',
                    minutes: $minutes,
                );
            }
        }
        if (! ($this->fits)()) {
            $this->trims[] = new Trim(
                0, 'minutes', (float) ceil(SessionClock::seconds($this->blocks) / 60), (float) $minutes, 'minutes',
                minutes: $minutes,
            );
        }
        $this->fits = $limits;
    }

    private function fitLimits(): void
    {
        $this->trim([
            ...$this->besideOwn(),
            [$this->beside(BlockKind::WarmUp), 'reps'],
            [$this->own, 'effort'], [$this->own, 'distance'], [$this->own, 'reps'], [$this->own, 'dropped'],
            [$this->beside(BlockKind::WarmUp), 'dropped'], [$this->beside(BlockKind::Rehearsal), 'dropped'],
        ]);
        $this->giveBack();
    }

    /** @return list<array{list<int>, 'reps'|'dropped'}> what gives way before the dose the session is for */
    private function besideOwn(): array
    {
        $kinds = [BlockKind::GameLike, BlockKind::Target, BlockKind::Part, BlockKind::Whole];
        $otherSide = $this->beside(BlockKind::OtherSide);

        return [
            [$otherSide, 'reps'], [$otherSide, 'dropped'],
            ...array_map(fn (BlockKind $kind): array => [$this->beside($kind), 'reps'], $kinds),
            ...array_map(fn (BlockKind $kind): array => [$this->beside($kind), 'dropped'], $kinds),
        ];
    }

    /** @return list<int> positions of the blocks of a kind, without the dose the session is for */
    private function beside(BlockKind $kind): array
    {
        return array_values(array_diff(array_keys(self::of($kind, $this->blocks)), $this->own));
    }

    /**
     * @param  array<int, BlockPlan>  $blocks
     * @return array<int, BlockPlan>
     */
    private static function of(BlockKind $kind, array $blocks): array
    {
        return array_filter($blocks, fn (BlockPlan $block): bool => $block->asked->kind === $kind);
    }

    /** @param  list<array{list<int>, 'reps'|'effort'|'distance'|'dropped'}>  $steps  in the order in which they are taken, until it fits */
    private function trim(array $steps): void
    {
        foreach ($steps as [$positions, $what]) {
            foreach (array_reverse($positions) as $i) {
                if (($this->fits)()) {
                    return;
                }
                if ($this->blocks[$i]->reps > 0) {
                    $this->lower($i, $what);
                }
            }
        }
    }

    /** Lowers one thing of a block as little as fits, or to its floor. */
    private function lower(int $i, string $what): void
    {
        $before = $this->blocks[$i];
        $this->blocks[$i] = $this->atFloor($before, $what);
        if ($what !== 'dropped' && ($this->fits)()) {
            $this->raise($i, $what, $before);
        }
    }

    private function atFloor(BlockPlan $block, string $what): BlockPlan
    {
        $dose = $block->asked;

        return match ($what) {
            'reps' => $block->withReps(min($block->reps, max(1, $dose->repsMin))),
            'effort' => $this->frame->withinReach($block->withEffort(min($block->effort, $dose->effortMin))),
            'distance' => $block->withDistance(
                $block->distanceM === null ? null : min($block->distanceM, $dose->distanceMinM ?? $block->distanceM),
            ),
            default => $block->withReps(0),
        };
    }

    /** Raises one thing towards $towards as far as everything still fits. */
    private function raise(int $i, string $what, BlockPlan $towards): void
    {
        $low = $this->blocks[$i];
        $steps = match ($what) {
            'effort' => (int) round(($towards->effort - $low->effort) / self::EFFORT_STEP),
            // The last step may be a part of a metre.
            'distance' => (int) ceil(($towards->distanceM ?? 0.0) - ($low->distanceM ?? 0.0) - 1e-9),
            default => $towards->reps - $low->reps,
        };
        $at = fn (int $step): BlockPlan => match (true) {
            $what === 'effort' => $low->withEffort($step >= $steps ? $towards->effort : $low->effort + $step * self::EFFORT_STEP),
            $what === 'distance' => $low->withDistance($step >= $steps ? $towards->distanceM : ($low->distanceM ?? 0.0) + $step),
            default => $towards->withReps($low->reps + $step)->withEffort($low->effort)->withDistance($low->distanceM),
        };
        [$fits, $breaks] = [0, $steps + 1];
        while ($breaks - $fits > 1) {
            $middle = intdiv($fits + $breaks, 2);
            $this->blocks[$i] = $at($middle);
            if (($this->fits)()) {
                $fits = $middle;
            } else {
                $breaks = $middle;
            }
        }
        $this->blocks[$i] = $fits === 0 ? $low : $at($fits);
    }

    /** A later trim may have made an earlier one needless: what still fits is given back, the most valued blocks first. */
    private function giveBack(): void
    {
        $kinds = [
            BlockKind::WarmUp, BlockKind::Rehearsal, BlockKind::Part, BlockKind::Whole, BlockKind::Target, BlockKind::GameLike,
            BlockKind::OtherSide,
        ];
        foreach ([...$this->own, ...array_merge(...array_map($this->beside(...), $kinds))] as $i) {
            $wanted = $this->wanted[$i];
            if ($wanted->reps === 0) {
                continue;
            }
            if ($this->blocks[$i]->reps === 0) {
                $this->restoreDropped($i, $wanted);
            }
            if ($this->blocks[$i]->reps > 0) {
                foreach (['effort', 'distance', 'reps'] as $what) {
                    $this->raise($i, $what, $wanted);
                }
            }
        }
    }

    /** Where a limit took all of the dose the session is for, nothing warms up for it or finishes it: a rehearsal and the rest stay. */
    private function leaveOutWithoutOwn(): void
    {
        $all = $this->wanted;
        $asked = array_filter($this->own, fn (int $i): bool => $all[$i]->reps > 0);
        if ($asked === [] || array_filter($asked, fn (int $i): bool => $this->blocks[$i]->reps > 0) !== []) {
            return;
        }
        foreach ($this->blocks as $i => $block) {
            $isOfIt = array_filter($asked, fn (int $own): bool => $this->shares($all[$own]->asked, $block->asked)) !== [];
            if ($block->reps > 0 && $isOfIt && $block->asked->kind !== BlockKind::Rehearsal) {
                $isOfLimit = fn (Trim $trim): bool => $trim->block === $i && $trim->cause === 'limit';
                $this->trims = [
                    ...array_values(array_filter($this->trims, fn (Trim $trim): bool => ! $isOfLimit($trim))),
                    new Trim($i, 'dropped', $all[$i]->reps, 0, 'own_dose'),
                ];
                $this->blocks[$i] = $block->withReps(0);
            }
        }
    }

    /** Whether two doses load a part together: the same arm or hand, the trunk or the legs. */
    private function shares(BlockDose $own, BlockDose $other): bool
    {
        return array_filter(
            $own->loadedChannels(),
            fn (Channel $channel): bool => in_array($channel, $other->loadedChannels(), true)
                && (! $channel->hasSides() || $own->side === $other->side),
        ) !== [];
    }

    /** A dropped block comes back when at least its least worthwhile dose fits, at the effort and distance it was lowered to. */
    private function restoreDropped(int $i, BlockPlan $wanted): void
    {
        $dropped = $this->blocks[$i];
        $least = min($wanted->reps, max(1, $wanted->asked->repsMin));
        $this->blocks[$i] = $wanted->withReps($least)->withEffort($dropped->effort)->withDistance($dropped->distanceM);
        if (! ($this->fits)()) {
            $this->blocks[$i] = $dropped;
        }
    }

    /** Each trim names the limits that one step more would break. */
    private function tellLimitTrims(): void
    {
        foreach ($this->blocks as $i => $block) {
            $wanted = $this->wanted[$i];
            $binding = function (BlockPlan $more) use ($i): array {
                $blocks = $this->blocks;
                $blocks[$i] = $more;

                return array_map(LimitFigures::of(...), $this->frame->broken($blocks));
            };
            if ($block->reps === 0 && $wanted->reps > 0) {
                $least = min($wanted->reps, max(1, $wanted->asked->repsMin));
                $this->trims[] = new Trim(
                    block: $i,
                    what: 'dropped',
                    from: $wanted->reps,
                    to: 0,
                    cause: 'limit',
                    limits: $binding($block->withReps($least)),
                );

                continue;
            }
            if ($block->reps < $wanted->reps) {
                $this->trims[] = new Trim(
                    block: $i,
                    what: 'reps',
                    from: $wanted->reps,
                    to: $block->reps,
                    cause: 'limit',
                    limits: $binding($block->withReps($block->reps + 1)),
                );
            }
            if ($block->effort < $wanted->effort - 1e-9) {
                $this->trims[] = new Trim(
                    block: $i,
                    what: 'effort',
                    from: $wanted->effort,
                    to: $block->effort,
                    cause: 'limit',
                    limits: $binding($block->withEffort($wanted->effort)),
                );
            }
            if (($block->distanceM ?? 0.0) < ($wanted->distanceM ?? 0.0) - 1e-9) {
                $further = $block->withDistance($wanted->distanceM);
                $this->trims[] = new Trim(
                    block: $i,
                    what: 'distance',
                    from: (float) $wanted->distanceM,
                    to: (float) $block->distanceM,
                    cause: $binding($further) === [] ? 'reach' : 'limit',
                    limits: $binding($further),
                );
            }
        }
    }
}
