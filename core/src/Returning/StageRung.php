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
            BlockKind::Whole, $given->name, $given->text, $dose->skill,
            $given->object === 'shadow' ? $nothing : $dose->object, $side, $given->surface ?? $dose->surface,
            $given->sets, $given->reps, intdiv($given->sets * $given->reps, 2), $given->effort, $given->effort, $distanceM, $distanceM,
            $given->restS, null, $given->legs, $dose->dropCm, true,
        );

        return new Rung(
            self::id($stage), $given->name, $given->text, $own->outcomeIgnored, $own->checkpoints, $own->faults, $own->gate,
            [...$blocks, ...array_values(array_filter($own->blocks, fn (BlockDose $block): bool => $block->kind === BlockKind::CoolDown))],
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

        return new Rung(
            $rung->id, $rung->name, $rung->goal, $rung->outcomeIgnored, $rung->checkpoints, $rung->faults, $rung->gate,
            array_values($blocks),
        );
    }

    private static function least(?float $a, ?float $b): ?float
    {
        return $a === null || $b === null ? $a : min($a, $b);
    }
}
