<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Records\Record;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Manner;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\BlockPlan;

/**
 * @property string $id
 * @property string $sheet_id
 * @property int $position
 * @property BlockKind $kind
 * @property string $title
 * @property string $text
 * @property string $skill
 * @property string $object
 * @property Side $side
 * @property Surface|null $surface
 * @property int $asked_sets
 * @property int $asked_reps
 * @property int $reps_min
 * @property float $asked_effort
 * @property float $effort_min
 * @property float|null $asked_distance_m
 * @property float|null $distance_min_m
 * @property int $rest_s
 * @property int|null $hold_s
 * @property int $legs
 * @property float|null $drop_cm
 * @property bool $judged
 * @property int $sets
 * @property int $reps
 * @property float $effort
 * @property float|null $distance_m
 * @property array<array-key, mixed>|null $loads
 * @property array{feed: string|null, varied: bool, tempo: string|null, counts: list<string>, play: string|null, eyes_shut?: bool,
 *     alternates?: bool, target_m?: float|null, spread_m?: float|null}|null $manner
 */
final class SheetBlock extends Record
{
    public $timestamps = false;

    protected function casts(): array
    {
        return [
            'kind' => BlockKind::class, 'side' => Side::class, 'surface' => Surface::class, 'judged' => 'boolean', 'loads' => 'array',
            'manner' => 'array',
        ];
    }

    /** A block keeps its own copy of the dose, so that editing a ladder never rewrites a sheet. */
    public static function of(BlockPlan $plan, int $position): self
    {
        $dose = $plan->asked;

        return new self([
            'position' => $position, 'kind' => $dose->kind, 'title' => $dose->title, 'text' => $dose->text,
            'skill' => $dose->skill->id, 'object' => $dose->object->id, 'side' => $dose->side, 'surface' => $dose->surface,
            'asked_sets' => $dose->sets, 'asked_reps' => $dose->reps, 'reps_min' => $dose->repsMin,
            'asked_effort' => $dose->effort, 'effort_min' => $dose->effortMin,
            'asked_distance_m' => $dose->distanceM, 'distance_min_m' => $dose->distanceMinM,
            'rest_s' => $dose->restS, 'hold_s' => $dose->holdS, 'legs' => $dose->legs, 'drop_cm' => $dose->dropCm,
            'judged' => $dose->judged,
            'loads' => $dose->loads === null ? null : array_map(fn (Channel $channel): string => $channel->value, $dose->loads),
            'manner' => $dose->manner?->kept(),
            ...self::given($plan),
        ]);
    }

    /** @return array{sets: int, reps: int, effort: float, distance_m: float|null} the dose as it is given */
    public static function given(BlockPlan $plan): array
    {
        return ['sets' => $plan->sets, 'reps' => $plan->reps, 'effort' => $plan->effort, 'distance_m' => $plan->distanceM];
    }

    /**
     * @param  list<self>  $blocks
     * @return list<string> what of them takes room in a limit, each in a line: two sheets with the same lines take the same
     */
    public static function taken(array $blocks): array
    {
        $working = array_filter($blocks, fn (self $block): bool => $block->reps > 0);
        $line = fn (self $block): string => sprintf(
            '%s %s %s %s %d %.6f %s %d %s',
            $block->skill, $block->object, $block->side->value, $block->surface?->value, $block->reps, $block->effort,
            $block->distance_m === null ? '-' : sprintf('%.6f', $block->distance_m), $block->legs, $block->drop_cm,
        );

        return array_values(array_map($line, $working));
    }

    public function dose(Library $library): BlockDose
    {
        return new BlockDose(
            kind: $this->kind,
            title: $this->title,
            text: $this->text,
            skill: $library->skills()[$this->skill],
            object: $library->objects()[$this->object],
            side: $this->side,
            surface: $this->surface,
            sets: $this->asked_sets,
            reps: $this->asked_reps,
            repsMin: $this->reps_min,
            effort: (float) $this->asked_effort,
            effortMin: (float) $this->effort_min,
            distanceM: $this->asked_distance_m,
            distanceMinM: $this->distance_min_m,
            restS: $this->rest_s,
            holdS: $this->hold_s,
            legs: $this->legs,
            dropCm: $this->drop_cm,
            judged: $this->judged,
            loads: $this->loads === null ? null : array_map(Channel::from(...), $this->loads),
            manner: $this->manner === null ? null : Manner::of($this->manner),
        );
    }

    public function plan(Library $library): BlockPlan
    {
        return new BlockPlan($this->dose($library), $this->sets, $this->reps, (float) $this->effort, $this->distance_m);
    }
}
