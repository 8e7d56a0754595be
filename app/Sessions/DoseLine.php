<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Sessions\Answers\DoseLineView;
use App\Wording\Wording;
use Augendo\Core\Planning\BlockPlan;

/** A dose as it stands in a line of a station, a brief or a comparison. */
final class DoseLine
{
    public static function of(BlockPlan $plan): DoseLineView
    {
        $title = lcfirst($plan->asked->title);

        return new DoseLineView(
            sets: $plan->repsBySet(),
            what: $plan->reps === 0 ? $title : "{$title}, ".Wording::dose($plan->effort, $plan->distanceM),
            judged: $plan->asked->judged,
        );
    }
}
