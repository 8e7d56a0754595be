<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\DrillWith;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\Skill;

/**
 * Practice alone between two sessions: what needs no partner, easy, inside every limit of its own days and of the sessions planned after
 * them. Nobody jumps and nobody throws hard alone.
 */
final class Homework
{
    private const MOST_DAYS = 3;

    private const MOST_EFFORT = 0.5;

    private const DRILL_SETS = 3;

    /** What was practised is told of the last week; further back it is the coach's to enter. */
    private const TOLD_DAYS = 7;

    /** @return non-empty-list<Day> the days practice may be told of by whoever did it, today first */
    public static function toldOf(Day $today): array
    {
        return array_map(fn (int $ago): Day => $today->plus(-$ago), range(0, self::TOLD_DAYS - 1));
    }

    /**
     * @param  Rung  $rung  the athlete stands on
     * @param  Fault|null  $focus  what to work on, if anything
     * @param  Drill|null  $drill  done instead of the drill of the fault
     * @param  list<int>  $taken  ordinals of days with a session, a match or training elsewhere
     * @param  callable(Day): SessionFrame  $frameOn
     * @return list<array{Day, BuiltSession}> by day; empty when nothing of the rung can be done alone or fits
     */
    public static function between(
        Day $from,
        Day $to,
        Rung $rung,
        ?Fault $focus,
        array $taken,
        callable $frameOn,
        ?Drill $drill = null,
    ): array {
        $alone = self::alone($rung, $focus, $drill);
        $days = [];
        $last = null;
        for ($ordinal = $from->ordinal; $alone->blocks !== [] && $ordinal < $to->ordinal && count($days) < self::MOST_DAYS; $ordinal++) {
            // Not on a day with work, and a day between two of them.
            if (in_array($ordinal, $taken, true) || $last === $ordinal - 1) {
                continue;
            }
            $built = SessionBuilder::build($frameOn(Day::fromOrdinal($ordinal)), $alone);
            if (array_filter($built->blocks, fn (BlockPlan $block): bool => $block->reps > 0) !== []) {
                $days[] = [Day::fromOrdinal($ordinal), $built];
                $last = $ordinal;
            }
        }

        return $days;
    }

    /**
     * What of a rung can be done alone: rehearsal, and the drill at no more than half effort; nothing that jumps,
     * nothing that is caught with a glove.
     */
    public static function alone(Rung $rung, ?Fault $focus, ?Drill $drill = null): Rung
    {
        $possible = array_filter($rung->blocks, fn (BlockDose $block): bool => $block->kind === BlockKind::Rehearsal && $block->reps > 0);
        if ($drill !== null) {
            $possible[] = $drill->dose;
        } elseif ($focus?->with === DrillWith::Alone) {
            $possible[] = Weave::drillFor($rung->ownDose(), $focus)->with(['sets' => self::DRILL_SETS]);
        }
        $calm = array_filter($possible, self::isCalm(...));
        $blocks = array_map(function (BlockDose $block): BlockDose {
            $effort = min(self::MOST_EFFORT, $block->effort);

            return $block->with(['effort' => $effort, 'effortMin' => min($block->effortMin, $effort), 'judged' => false]);
        }, array_values($calm));

        return $rung->with(['blocks' => $blocks]);
    }

    /**
     * @param  array<string, Drill>  $known  by id
     * @param  Skill  $skill  of the ladder
     * @return array<string, Drill> what can be given to somebody alone, by id; what mends the fault first
     */
    public static function drills(array $known, ?Fault $focus, Skill $skill): array
    {
        $possible = array_filter($known, fn (Drill $drill): bool => $drill->with === DrillWith::Alone
            && $drill->dose->reps > 0
            && $drill->isFor([$skill])
            && ! $drill->dose->object->far
            && self::isCalm($drill->dose));
        uasort($possible, fn (Drill $a, Drill $b): int => $focus === null ? 0 : $b->doesMend($focus) <=> $a->doesMend($focus));

        return $possible;
    }

    /**
     * A drill that needs a partner is none for practice alone.
     *
     * @param  list<Fault>  $faults  that may be worked on, the likeliest first
     * @param  array<string, Drill>  $own  of the club, by id
     */
    public static function focus(array $faults, array $own, Skill $skill): ?Fault
    {
        foreach ($faults as $fault) {
            if ($fault->with === DrillWith::Alone || self::mending($own, $fault, $skill) !== null) {
                return $fault;
            }
        }

        return null;
    }

    /**
     * @param  array<string, Drill>  $own  of the club, by id
     * @return string|null id of the one that is given instead of the drill of the fault; null: none of them mends it
     */
    public static function mending(array $own, Fault $focus, Skill $skill): ?string
    {
        $first = self::drills($own, $focus, $skill);

        return $first !== [] && reset($first)->doesMend($focus) ? (string) key($first) : null;
    }

    private static function isCalm(BlockDose $block): bool
    {
        return self::landsNowhere($block) && ! $block->object->hard;
    }

    private static function landsNowhere(BlockDose $block): bool
    {
        return $block->skill->family !== Family::Jump || $block->skill->landingsPerRep === 0.0;
    }
}
