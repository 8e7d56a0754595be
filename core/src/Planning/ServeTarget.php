<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Load\EffortCurve;

/** A serve as it is to be tried: instead of some serves of a dose, never on top of them. */
final readonly class ServeTarget
{
    private const MOST_REPS = 10;

    private function __construct(public BlockPlan $rest, public BlockPlan $target) {}

    /** @return self|null null when the dose has too few serves to give some away */
    public static function outOf(BlockPlan $whole, ServeChange $change): ?self
    {
        $reps = min(self::MOST_REPS, intdiv($whole->reps, 2));
        if ($reps === 0) {
            return null;
        }
        $dose = $whole->asked->with(['kind' => BlockKind::Target, 'judged' => false, 'sets' => 1, 'reps' => $reps, 'repsMin' => 1]);

        return new self(
            $whole->withReps($whole->reps - $reps),
            new BlockPlan($dose, 1, $reps, self::effort($whole->effort, $change->pace), $whole->distanceM),
        );
    }

    /** Less pace is less effort: the energy of a serve goes with the square of its speed. */
    private static function effort(float $whole, float $pace): float
    {
        $curve = EffortCurve::Perceived;

        return min($whole, round($curve->effortOf($curve->stressShare($whole) * $pace ** 2), 2));
    }
}
