<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Family;

/** How a season comes to the dose of a rung: repetitions, effort and distance rise one at a time, on heavy days only. */
final readonly class Pace
{
    /** A rung is begun at this share of its repetitions. */
    private const BEGIN_SHARE = 0.8;

    /** About a quarter at a time, never more. */
    private const EFFORT_STEP = 0.15;

    private const SHARE_STEP = 0.25;

    /**
     * @param  int  $reps  of the rung's own dose, in all sets together
     * @param  float  $effort  0 to 1
     * @param  list<'reps'|'effort'|'distance'>  $raised  over the heavy day before; more than one only where a new rung asks for it
     */
    private function __construct(public int $reps, public float $effort, public ?float $distanceM, public array $raised) {}

    /**
     * @param  self|null  $before  the heavy day before; null at the start
     * @param  bool  $begins  whether the rung is begun: it then asks for its least at once. Later a dose that fell
     *         below it comes back one thing at a time
     */
    public static function next(?self $before, BlockDose $own, Emphasis $emphasis, bool $begins = true): self
    {
        $whole = $own->sets * $own->reps;
        $leastReps = min($whole, max(1, $own->repsMin));
        if ($before === null) {
            $start = new self(
                max($leastReps, (int) floor(self::BEGIN_SHARE * $whole)),
                $own->effortMin,
                $own->distanceMinM ?? $own->distanceM,
                [],
            );

            return $emphasis === Emphasis::Heavy ? $start : $start->lighter($emphasis);
        }
        $reps = min($whole, max($begins ? $leastReps : 1, $before->reps));
        $effort = min($own->effort, max($begins ? $own->effortMin : 0.0, $before->effort));
        $leastM = $begins || $before->distanceM === null ? $own->distanceMinM ?? $own->distanceM : 0.0;
        $distance = $own->distanceM === null ? null : min($own->distanceM, max($leastM, $before->distanceM ?? 0.0));
        $raised = array_values(array_filter([
            $distance !== null && $before->distanceM !== null && $distance > $before->distanceM + 1e-9 ? 'distance' : null,
            $effort > $before->effort + 1e-9 ? 'effort' : null,
            $reps > $before->reps ? 'reps' : null,
        ]));
        if ($emphasis !== Emphasis::Heavy) {
            return (new self($reps, $effort, $distance, $raised))->lighter($emphasis);
        }
        if ($raised !== []) {
            return new self($reps, $effort, $distance, $raised);
        }
        // Distance grows first for throws at an easy effort; a court does not get longer, so a serve grows in effort first.
        foreach ($own->skill->family === Family::Throw ? ['distance', 'effort', 'reps'] : ['effort', 'distance', 'reps'] as $what) {
            if ($what === 'distance' && $distance !== null && $distance < (float) $own->distanceM - 1e-9) {
                return new self(
                    $reps,
                    $effort,
                    min((float) $own->distanceM, $distance + max(1.0, self::SHARE_STEP * (float) $own->distanceM)),
                    ['distance'],
                );
            }
            if ($what === 'effort' && $effort < $own->effort - 1e-9) {
                return new self($reps, min($own->effort, $effort + self::EFFORT_STEP), $distance, ['effort']);
            }
            if ($what === 'reps' && $reps < $whole) {
                return new self(min($whole, $reps + max(1, (int) ceil(self::SHARE_STEP * $whole))), $effort, $distance, ['reps']);
            }
        }

        return new self($reps, $effort, $distance, []);
    }

    /** A dose that was reached, or kept. */
    public static function at(int $reps, float $effort, ?float $distanceM): self
    {
        return new self($reps, $effort, $distanceM, []);
    }

    /** The same pace held to what a rung asks at most and at least: it was set for a rung that may have changed since. */
    public function within(BlockDose $own): self
    {
        $distance = $own->distanceM === null ? null : min(
            $own->distanceM,
            max($own->distanceMinM ?? 0.0, $this->distanceM ?? $own->distanceMinM ?? $own->distanceM),
        );

        return new self(
            min($this->reps, $own->sets * $own->reps),
            min($own->effort, max($own->effortMin, $this->effort)),
            $distance,
            $this->raised,
        );
    }

    /** The rung with its own dose at this pace, and the scored and playful blocks lowered with it. */
    public function on(Rung $rung): Rung
    {
        $own = $rung->ownDose();
        $share = min(1.0, $this->reps / max(1, $own->sets * $own->reps));
        $blocks = array_map(fn (BlockDose $block): BlockDose => match (true) {
            $block === $own => $this->dosed($block, $this->reps, $this->effort, $this->distanceM),
            in_array(
                $block->kind,
                [BlockKind::Part, BlockKind::Whole, BlockKind::Target, BlockKind::GameLike],
                true,
            ) && $block->reps > 0 => $this->dosed(
                $block, max(1, (int) floor($share * $block->sets * $block->reps)),
                min($block->effort, max($block->effortMin, $this->effort)), $block->distanceM,
            ),
            default => $block,
        }, $rung->blocks);

        return $rung->with(['blocks' => $blocks]);
    }

    private function lighter(Emphasis $emphasis): self
    {
        return new self(max(1, (int) floor($this->reps * $emphasis->share())), $this->effort, $this->distanceM, $this->raised);
    }

    private function dosed(BlockDose $block, int $reps, float $effort, ?float $distanceM): BlockDose
    {
        $sets = max(1, min($block->sets, intdiv($reps, max(1, min($block->reps, 4)))));
        $perSet = max(1, intdiv($reps, $sets));

        return $block->with([
            'sets' => $sets, 'reps' => $perSet, 'repsMin' => min($block->repsMin, $sets * $perSet),
            'effort' => $effort, 'effortMin' => min($block->effortMin, $effort), 'distanceM' => $distanceM,
            'distanceMinM' => $block->distanceMinM === null || $distanceM === null
                ? $block->distanceMinM
                : min($block->distanceMinM, $distanceM),
        ]);
    }
}
