<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;

/** The dose one athlete gets of one block. */
final readonly class BlockPlan
{
    /**
     * @param  int  $reps  in all sets together; 0 when the block is dropped or counts nothing
     * @param  float  $effort  0 to 1
     *
     * @throws InvalidValue
     */
    public function __construct(
        public BlockDose $asked,
        public int $sets,
        public int $reps,
        public float $effort,
        public ?float $distanceM,
    ) {
        if ($reps < 0) {
            throw new InvalidValue("{$reps} repetitions cannot be planned; 0 is the least.");
        }
        if ($sets < 1) {
            throw new InvalidValue("{$sets} sets cannot be planned; 1 is the least.");
        }
        if ($effort < 0 || $effort > 1) {
            throw new InvalidValue('An effort lies between 0 and 100 %.');
        }
        if ($distanceM !== null && $distanceM <= 0) {
            throw new InvalidValue('A distance is more than 0 m.');
        }
    }

    public static function asAsked(BlockDose $dose): self
    {
        return new self($dose, $dose->sets, $dose->sets * $dose->reps, $dose->effort, $dose->distanceM);
    }

    public function withReps(int $reps): self
    {
        // Fewer sets of about the asked length, rather than the same sets too short to mean anything.
        $sets = $reps === 0 ? $this->sets : min($this->sets, (int) ceil($reps / max(1, $this->asked->reps)));

        return new self($this->asked, $sets, $reps, $this->effort, $this->distanceM);
    }

    public function withEffort(float $effort): self
    {
        return new self($this->asked, $this->sets, $this->reps, $effort, $this->distanceM);
    }

    public function withDistance(?float $distanceM): self
    {
        return new self($this->asked, $this->sets, $this->reps, $this->effort, $distanceM);
    }

    /** The same dose, watched as evidence only where that holds. */
    public function judgedIf(bool $holds): self
    {
        $judged = $holds && $this->asked->judged;

        return $judged === $this->asked->judged
            ? $this
            : new self($this->asked->with(['judged' => $judged]), $this->sets, $this->reps, $this->effort, $this->distanceM);
    }

    /** @return list<int> repetitions of each set, as even as they go, the longer first */
    public function repsBySet(): array
    {
        $sets = min($this->sets, $this->reps);
        if ($sets === 0) {
            return [];
        }
        $short = intdiv($this->reps, $sets);

        return array_map(fn (int $i): int => $short + ($i < $this->reps % $sets ? 1 : 0), range(0, $sets - 1));
    }

    public function isDropped(): bool
    {
        return $this->reps === 0 && $this->asked->reps > 0;
    }

    public function cost(Day $on, string $session, SetCost $price): CostedSet
    {
        return $price->of($this->workSet($on, $session, $this->reps));
    }

    public function oneRep(Day $on, string $session, SetCost $price): CostedSet
    {
        return $price->of($this->workSet($on, $session, 1));
    }

    /** So many repetitions of this dose. */
    public function workSet(Day $on, string $session, int $reps): WorkSet
    {
        $dose = $this->asked;

        return new WorkSet(
            day: $on,
            session: $session,
            skill: $dose->skill,
            reps: $reps,
            effort: $this->effort,
            implement: $dose->object->implement,
            distanceM: $this->distanceM,
            speedMs: null,
            massKg: $dose->object->massKg,
            referenceMassKg: $dose->object->referenceMassKg,
            side: $dose->side,
            surface: $dose->surface,
            legs: $dose->legs,
            dropCm: $dose->dropCm,
        );
    }
}
