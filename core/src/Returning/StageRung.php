<?php

declare(strict_types=1);

namespace Augendo\Core\Returning;

use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\LibraryObject;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;

/** A stage of a return put as a rung, so that it is planned, counted and judged like any other. */
final class StageRung
{
    /**
     * @param  Rung  $own  the rung the athlete stands on: its warm-up and cool-down stay, its faults are watched
     * @param  LibraryObject  $nothing  what shadow repetitions are done with
     * @param  float|null  $longestThrowM  of the skill, metres
     */
    public static function of(Programme $programme, int $stage, Rung $own, LibraryObject $nothing, ?float $longestThrowM, Side $side): Rung
    {
        $given = $programme->stages[$stage];
        $dose = $own->ownDose();
        $distanceM = match (true) {
            $given->distanceShare === null => $dose->distanceM,
            $longestThrowM === null => null,
            default => round($given->distanceShare * $longestThrowM * 2) / 2,
        };
        $blocks = [];
        foreach ($own->blocks as $block) {
            if ($block->kind === BlockKind::WarmUp) {
                $blocks[] = $block->with([
                    'effort' => min($block->effort, $given->effort),
                    'effortMin' => min($block->effortMin, $given->effort),
                    'distanceM' => self::least($block->distanceM, $distanceM),
                    'distanceMinM' => self::least($block->distanceMinM, $distanceM),
                ]);
            }
        }
        $blocks[] = new BlockDose(
            kind: BlockKind::Whole,
            title: $given->name,
            text: $given->text,
            skill: $dose->skill,
            object: $given->object === 'shadow' ? $nothing : $dose->object,
            side: $side,
            surface: $given->surface ?? $dose->surface,
            sets: $given->sets,
            reps: $given->reps,
            repsMin: intdiv($given->sets * $given->reps, 2),
            effort: $given->effort,
            effortMin: $given->effort,
            distanceM: $distanceM,
            distanceMinM: $distanceM,
            restS: $given->restS,
            holdS: null,
            legs: $given->legs,
            dropCm: $dose->dropCm,
            judged: true,
        );

        return new Rung(
            id: self::id($stage),
            name: $given->name,
            goal: $given->text,
            outcomeIgnored: $own->outcomeIgnored,
            checkpoints: $own->checkpoints,
            faults: $own->faults,
            gate: $own->gate,
            blocks: [
                ...$blocks,
                ...array_values(array_filter($own->blocks, fn (BlockDose $block): bool => $block->kind === BlockKind::CoolDown)),
            ],
        );
    }

    /** @return string the rung id under which the judged repetitions of a stage are kept, apart from those of any ladder */
    public static function id(int $stage): string
    {
        return "return-{$stage}";
    }

    /**
     * A rung without what loads these channels: what is left to train while a return waits.
     *
     * @param  list<Channel>  $channels
     */
    public static function without(Rung $rung, array $channels): Rung
    {
        $blocks = array_filter(
            $rung->blocks,
            fn (BlockDose $block): bool => array_filter(
                $block->loadedChannels(),
                fn (Channel $channel): bool => in_array($channel, $channels, true),
            ) === [],
        );

        return $rung->with(['blocks' => array_values($blocks)]);
    }

    private static function least(?float $a, ?float $b): ?float
    {
        return $a === null || $b === null ? $a : min($a, $b);
    }
}
