<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\ThrowReach;

/** How a season comes to the dose of a rung: repetitions, effort and distance rise one at a time, on heavy days only. */
final readonly class Pace
{
    /** About a quarter at a time, never more. */
    private const EFFORT_STEP = 0.15;

    private const SHARE_STEP = 0.25;

    private const LEAST_OF_A_SET = 4;

    /** Of the repetitions, so many may be left over for sets to be of one length. */
    private const LEFT_OVER_SHARE = 0.12;

    /**
     * @param  int  $reps  of the rung's own dose, in all sets together
     * @param  float  $effort  0 to 1
     * @param  list<'reps'|'effort'|'distance'>  $raised  over the heavy day before: never more than one
     */
    private function __construct(public int $reps, public float $effort, public ?float $distanceM, public array $raised) {}

    /**
     * @param  self|null  $before  the heavy day before; null at the start
     * @param  bool  $begins  whether the rung is begun: it is what is new that day, and nothing is raised over what was done
     * @param  float|null  $longestM  the athlete's longest throw of the skill, metres: no throw is planned further than its effort
     *         reaches, for it would be a harder one than was said; null: not known
     */
    public static function next(
        ?self $before, BlockDose $own, Emphasis $emphasis, bool $begins = true, Beginning $beginning = new Beginning,
        ?float $longestM = null,
    ): self {
        $whole = $own->sets * $own->reps;
        $least = min($whole, max(1, $own->repsMin));
        if ($before === null) {
            $leastM = $own->distanceMinM ?? $own->distanceM;
            $start = new self(
                max($least, (int) floor($beginning->share * $whole + 1e-9)),
                max($own->effortMin, $beginning->effort ?? 0.0),
                $leastM === null ? null : max($leastM, $beginning->distanceM ?? 0.0),
                [],
            );

            return $start->within($own, $longestM)->lighter($own, $emphasis);
        }
        $at = ($begins ? $before->begun($own, $beginning) : $before)->within($own, $longestM);

        return $begins || $emphasis !== Emphasis::Heavy ? $at->lighter($own, $emphasis) : $at->raisedOnce($own, $least, $longestM);
    }

    /**
     * From how far it is done is part of what a rung is: its least comes with it. Effort and repetitions wait, but for what the last weeks
     * carried anyway.
     */
    private function begun(BlockDose $own, Beginning $beginning): self
    {
        $carried = (int) floor($beginning->carried * $own->sets * $own->reps + 1e-9);
        $leastM = $own->distanceMinM ?? $own->distanceM;

        return new self(
            max($this->reps, $carried),
            $this->effort,
            $leastM === null ? null : max($leastM, $this->distanceM ?? 0.0),
            [],
        );
    }

    /** Whether it is no less than what the rung asks for at the least: only then can its gate be met with it. */
    public function isWorthARung(BlockDose $own): bool
    {
        return $this->reps >= min($own->repsMin, $own->sets * $own->reps)
            && $this->effort > min($own->effortMin, $own->effort) - 1e-9
            && ($this->distanceM ?? 0.0) > ($own->distanceMinM ?? $own->distanceM ?? 0.0) - 1e-9;
    }

    /**
     * What lies below the least of the rung comes first, its repetitions before anything else; then distance for throws at an easy effort,
     * and effort for the rest, for a court does not get longer.
     */
    private function raisedOnce(BlockDose $own, int $leastReps, ?float $longestM): self
    {
        $below = array_keys(array_filter([
            'reps' => $this->reps < $leastReps,
            'distance' => $this->distanceM !== null && $this->distanceM < ($own->distanceMinM ?? (float) $own->distanceM) - 1e-9,
            'effort' => $this->effort < $own->effortMin - 1e-9,
        ]));
        $order = $own->skill->family === Family::Throw ? ['distance', 'effort', 'reps'] : ['effort', 'distance', 'reps'];
        foreach ([...$below, ...$order] as $what) {
            $raised = match ($what) {
                'distance' => $this->further($own, $longestM),
                'effort' => new self($this->reps, min($own->effort, $this->effort + self::EFFORT_STEP), $this->distanceM, ['effort']),
                'reps' => $this->more($own->sets * $own->reps, $leastReps),
            };
            if ($raised->isAbove($this)) {
                return $raised;
            }
        }

        return $this;
    }

    private function further(BlockDose $own, ?float $longestM): self
    {
        $step = max(1.0, self::SHARE_STEP * (float) $own->distanceM);
        $most = self::furthest($own, $this->effort, $longestM);
        // Metres somebody can pace: halves.
        $distance = $this->distanceM === null ? null : min($most, floor(2 * ($this->distanceM + $step) + 1e-6) / 2);

        return new self($this->reps, $this->effort, $distance, ['distance']);
    }

    private function more(int $whole, int $least): self
    {
        $step = max(1, (int) ceil(self::SHARE_STEP * max($this->reps, $least)));

        return new self(min($whole, $this->reps + $step), $this->effort, $this->distanceM, ['reps']);
    }

    private function isAbove(self $other): bool
    {
        return $this->reps > $other->reps
            || $this->effort > $other->effort + 1e-9
            || ($this->distanceM ?? 0.0) > ($other->distanceM ?? 0.0) + 1e-9;
    }

    /** @return float metres: what is asked, and for a throw no more than such an effort reaches */
    private static function furthest(BlockDose $own, float $effort, ?float $longestM): float
    {
        return $longestM === null || $own->skill->family !== Family::Throw
            ? (float) $own->distanceM
            : min((float) $own->distanceM, ThrowReach::furthestM($effort, $longestM));
    }

    /** A dose that was reached, or kept. */
    public static function at(int $reps, float $effort, ?float $distanceM): self
    {
        return new self($reps, $effort, $distanceM, []);
    }

    /**
     * The same pace held to what a rung asks at most: it was set for a rung that may have changed since.
     *
     * @param  float|null  $longestM  as in next()
     */
    public function within(BlockDose $own, ?float $longestM = null): self
    {
        $effort = min($own->effort, $this->effort);
        $wanted = $this->distanceM ?? $own->distanceMinM ?? (float) $own->distanceM;

        return new self(
            min($this->reps, $own->sets * $own->reps),
            $effort,
            $own->distanceM === null ? null : min($wanted, self::furthest($own, $effort, $longestM)),
            [],
        );
    }

    public function withReps(int $reps): self
    {
        return new self($reps, $this->effort, $this->distanceM, $this->raised);
    }

    /**
     * The rung with its own dose at this pace, and the scored and playful blocks lowered with it. What would be played or scored much
     * harder than that waits until the dose has grown.
     */
    public function on(Rung $rung): Rung
    {
        $own = $rung->ownDose();
        $share = min(1.0, $this->reps / max(1, $own->sets * $own->reps));
        $beside = [BlockKind::Part, BlockKind::Whole, BlockKind::Target, BlockKind::GameLike];
        $blocks = [];
        foreach ($rung->blocks as $block) {
            if ($block === $own) {
                $blocks[] = $this->dosed($block, $this->reps, $this->effort, $this->distanceM);
            } elseif ($block->reps === 0 || ! in_array($block->kind, $beside, true)) {
                $blocks[] = $block;
            } elseif (min($block->effortMin, $block->effort) <= max($this->effort, $own->effortMin) + self::EFFORT_STEP + 1e-9) {
                $reps = max(1, (int) floor($share * $block->sets * $block->reps));
                $effort = min($block->effort, max($block->effortMin, $this->effort));
                $blocks[] = $this->dosed($block, $reps, $effort, $block->distanceM);
            }
        }

        return $rung->with(['blocks' => $blocks]);
    }

    /** As a day of such emphasis has it; where matches ask for less effort, the rung's least stays. */
    public function lighter(BlockDose $own, Emphasis $emphasis): self
    {
        $effort = max($this->effort - $emphasis->easierBy(), min($this->effort, $own->effortMin));

        return new self(max(1, (int) floor($this->reps * $emphasis->share())), $effort, $this->distanceM, $this->raised);
    }

    /**
     * As many sets as the block has, each of four repetitions at the least, unless too many would be left over.
     *
     * @return array{int, int} sets and repetitions of each
     */
    private static function inSets(BlockDose $block, int $reps): array
    {
        $most = max(1, min($block->sets, intdiv($reps, max(1, min($block->reps, self::LEAST_OF_A_SET)))));
        $best = [1, 0];
        for ($sets = $most; $sets >= 1; $sets--) {
            $perSet = max(1, intdiv($reps, $sets));
            $done = $sets * $perSet;
            if ($perSet > max($block->reps, intdiv($reps, $most)) && $best[1] > 0) {
                break;
            }
            $best = $done > $best[0] * $best[1] ? [$sets, $perSet] : $best;
            if ($done >= (1 - self::LEFT_OVER_SHARE) * $reps) {
                break;
            }
        }

        return $best;
    }

    private function dosed(BlockDose $block, int $reps, float $effort, ?float $distanceM): BlockDose
    {
        [$sets, $perSet] = self::inSets($block, $reps);

        return $block->with([
            'sets' => $sets, 'reps' => $perSet, 'repsMin' => min($block->repsMin, $sets * $perSet),
            'effort' => $effort, 'effortMin' => min($block->effortMin, $effort), 'distanceM' => $distanceM,
            'distanceMinM' => $block->distanceMinM === null || $distanceM === null
                ? $block->distanceMinM
                : min($block->distanceMinM, $distanceM),
        ]);
    }
}
