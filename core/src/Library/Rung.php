<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\Day;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;

/** One stage of a ladder. */
final readonly class Rung
{
    use CopiesItself;

    /** More things than this nobody looks at. */
    private const LOOKED_AT = 3;

    private const LEAST_EFFORT = 0.25;

    /**
     * @param  bool  $outcomeIgnored  whether where it lands is not looked at yet
     * @param  list<Checkpoint>  $checkpoints
     * @param  list<Fault>  $faults  likeliest first
     * @param  list<BlockDose>  $blocks
     * @param  BlockDose|null  $indoor  what is done in place of what no space can hold; it is no evidence of the rung
     * @param  list<string>  $safeMisses  misses that harm nothing, as Scoring\Outcome::WORDS: below the aim, for a throw to a partner
     * @param  Teaching|null  $teaching  null: a ladder of somebody’s own that does not say
     * @param  list<Tag>  $tags  what a repetition may be besides
     * @param  string|null  $seated  what is done on it from a chair; null: nobody has said
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $goal,
        public bool $outcomeIgnored,
        public array $checkpoints,
        public array $faults,
        public Gate $gate,
        public array $blocks,
        public ?BlockDose $indoor = null,
        public array $safeMisses = [],
        public ?Teaching $teaching = null,
        public array $tags = [],
        public ?string $seated = null,
    ) {}

    /** @return array<string, array{string, string}> the two faults that come together, by the fault they are then */
    public function pairs(): array
    {
        $pairs = [];
        foreach ($this->faults as $fault) {
            if ($fault->pair !== null) {
                $pairs[$fault->id] = $fault->pair;
            }
        }

        return $pairs;
    }

    /** Whether a score may be taken on a block: where the outcome counts, of what is thrown or hit, in its work. */
    public function scores(BlockDose $block): bool
    {
        return ! $this->outcomeIgnored
            && in_array($block->kind, [BlockKind::Target, BlockKind::GameLike, BlockKind::Whole], true)
            && $block->skill->flies();
    }

    /** Its doses for one athlete: as many repetitions as are asked at their age, and no more effort; see BlockDose for the rest. */
    public function forAthlete(AthleteProfile $profile, Day $on, DoseTable $doses): self
    {
        $shares = $doses->at($profile->ageOn($on));
        // A slow rehearsal and a loosening are the same at every age.
        $share = fn (BlockDose $block): float => $block->kind === BlockKind::Rehearsal || $block->kind === BlockKind::CoolDown
            ? 1.0
            : $shares->asked;
        $dose = fn (BlockDose $block): BlockDose => $block->forAthlete($profile, $on)->scaled($share($block))->atMost($shares->hardest);
        $blocks = array_map($dose, $this->blocks);
        $indoor = $this->indoor === null ? null : $dose($this->indoor);

        return $blocks === $this->blocks && $indoor === $this->indoor ? $this : $this->with(['blocks' => $blocks, 'indoor' => $indoor]);
    }

    /** The rung with a share of what it works on; the warm-up, the rehearsal and the other side stay. */
    public function scaled(float $share): self
    {
        return $this->withWork(fn (BlockDose $block): BlockDose => $block->scaled($share));
    }

    /**
     * The rung asked for with less effort: of somebody who gives more than is asked.
     *
     * @param  float  $by  0 to 1
     */
    public function easier(float $by): self
    {
        $less = fn (float $effort): float => max(min($effort, self::LEAST_EFFORT), $effort - $by);

        return $by <= 0.0 ? $this : $this->withWork(fn (BlockDose $block): BlockDose => $block->with([
            'effort' => $less($block->effort), 'effortMin' => $less($block->effortMin),
        ]));
    }

    /** @param  callable(BlockDose): BlockDose  $changed */
    private function withWork(callable $changed): self
    {
        $work = [BlockKind::Part, BlockKind::Whole, BlockKind::Target, BlockKind::GameLike];

        return $this->with(['blocks' => array_map(
            fn (BlockDose $block): BlockDose => $block->judged || in_array($block->kind, $work, true) ? $changed($block) : $block,
            $this->blocks,
        )]);
    }

    /** @param  Surface|null  $floor  where it is landed; null: not known */
    public function onFloor(?Surface $floor): self
    {
        return $this->with([
            'blocks' => array_map(fn (BlockDose $block): BlockDose => $block->onFloor($floor), $this->blocks),
            'indoor' => $this->indoor?->onFloor($floor),
        ]);
    }

    /** @return list<Channel> the channels its counted blocks load */
    public function loadedChannels(): array
    {
        $loaded = [];
        foreach ($this->blocks as $block) {
            foreach ($block->reps > 0 ? $block->loadedChannels() : [] as $channel) {
                $loaded[$channel->value] = $channel;
            }
        }

        return array_values($loaded);
    }

    /** Whether evidence of the other rung is evidence of this one: the same things looked for, the same faults able to hurt. */
    public function judgesLike(self $other): bool
    {
        $looks = function (self $rung): array {
            $ids = [
                ...array_map(fn (Checkpoint $each): string => $each->id, $rung->checkpoints),
                ...array_map(
                    fn (Fault $each): string => "{$each->id} hurts",
                    array_filter($rung->faults, fn (Fault $each): bool => $each->safety),
                ),
            ];
            sort($ids);

            return $ids;
        };

        return $looks($this) === $looks($other);
    }

    /** @return list<Checkpoint> what whoever watches looks at first */
    public function lookedAtFirst(): array
    {
        return array_slice($this->checkpoints, 0, self::LOOKED_AT);
    }

    public function fault(string $id): ?Fault
    {
        foreach ($this->faults as $fault) {
            if ($fault->id === $id) {
                return $fault;
            }
        }

        return null;
    }

    /** The dose the rung is climbed on: its judged block. */
    public function ownDose(): BlockDose
    {
        return $this->judgedDose() ?? throw new \LogicException("Rung {$this->id} judges no block.");
    }

    /** What is thrown when it is scored: at the target where the rung has one, else its own dose. */
    public function scoredDose(): BlockDose
    {
        foreach ($this->blocks as $block) {
            if ($block->kind === BlockKind::Target && $block->reps > 0) {
                return $block;
            }
        }

        return $this->ownDose();
    }

    /**
     * @param  Side|null  $side  the dose of this side: where the rung gives it none, the leading one mirrored
     * @return BlockDose|null the own dose; where what is judged was taken out, the largest that is left; null when nothing is counted
     */
    public function leadingDose(?Side $side = null): ?BlockDose
    {
        $counted = array_values(
            array_filter($this->blocks, fn (BlockDose $block): bool => $block->reps > 0 && $block->kind !== BlockKind::WarmUp),
        );
        usort($counted, fn (BlockDose $a, BlockDose $b): int => $b->sets * $b->reps <=> $a->sets * $a->reps);
        $leading = $this->judgedDose() ?? $counted[0] ?? null;
        if ($side === null || $leading === null || $leading->side === $side) {
            return $leading;
        }

        $ofSide = array_values(array_filter($counted, fn (BlockDose $block): bool => $block->side === $side));

        return $ofSide[0] ?? $leading->onSide($side);
    }

    /** The judged block; null where what is judged was taken out. */
    public function judgedDose(): ?BlockDose
    {
        foreach ([BlockKind::Whole, BlockKind::Target, BlockKind::GameLike, BlockKind::Part, BlockKind::Rehearsal] as $kind) {
            foreach ($this->blocks as $block) {
                if ($block->judged && $block->kind === $kind) {
                    return $block;
                }
            }
        }

        return null;
    }
}
