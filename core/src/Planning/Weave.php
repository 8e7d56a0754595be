<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Rung;

/** Drill, whole, drill, whole: the drill that mends the leading fault goes before the whole and again in the middle of it. */
final class Weave
{
    public const DRILL_TITLE = 'Drill: ';

    /** Enough to feel it, few enough to leave the whole its place. */
    private const DRILL_REPS = 4;

    private const DRILL_EFFORT = 0.5;

    /** Whether a block is one that a drill goes in turns with: the judged whole, or the judged part where a rung has no whole yet. */
    public static function takesTurns(BlockDose $block): bool
    {
        return $block->judged && ($block->kind === BlockKind::Whole || $block->kind === BlockKind::Part);
    }

    public static function drill(Rung $rung, Fault $fault): Rung
    {
        $blocks = [];
        foreach ($rung->blocks as $block) {
            if (! self::takesTurns($block)) {
                $blocks[] = $block;

                continue;
            }
            $drill = self::drillFor($block, $fault);
            if ($block->sets < 2) {
                $blocks = [...$blocks, $drill, $block];

                continue;
            }
            $first = intdiv($block->sets + 1, 2);
            $blocks = [
                ...$blocks, $drill, self::withSets($block, $first), $drill,
                self::withSets($block, $block->sets - $first, ', again'),
            ];
        }

        return $rung->with(['blocks' => $blocks]);
    }

    /**
     * The drill that mends a fault, at no more than half effort: with its own object, distance and number. Of a drill nobody gave a dose
     * only what it mends is known, and it is priced as that.
     */
    public static function drillFor(BlockDose $whole, Fault $fault): BlockDose
    {
        $own = $fault->dose;
        $reps = $own->reps ?? self::DRILL_REPS;
        $effort = min(self::DRILL_EFFORT, $own->effort ?? $whole->effort);
        $drill = $whole->with([
            'kind' => BlockKind::Part, 'title' => self::DRILL_TITLE.lcfirst($fault->name),
            'text' => ($fault->how ?? "{$fault->drill}.")." Think: {$fault->cue}.",
            'sets' => 1, 'reps' => $reps, 'repsMin' => $reps, 'effort' => $effort, 'effortMin' => $effort, 'judged' => false,
            'manner' => null,
        ]);

        return $own === null ? $drill : $drill->with([
            'skill' => $own->skill, 'object' => $own->object, 'distanceM' => $own->distanceM, 'distanceMinM' => $own->distanceM,
            'holdS' => $own->holdS, 'surface' => $own->surface ?? $whole->surface, 'legs' => $own->legs, 'dropCm' => $own->dropCm,
            'loads' => null,
        ]);
    }

    private static function withSets(BlockDose $block, int $sets, string $name = ''): BlockDose
    {
        return $block->with([
            'title' => $block->title.$name,
            'sets' => $sets,
            'repsMin' => min($block->repsMin, (int) ceil($block->repsMin * $sets / $block->sets)),
        ]);
    }
}
