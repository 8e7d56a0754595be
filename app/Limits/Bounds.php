<?php

declare(strict_types=1);

namespace App\Limits;

use App\Courtside\Answers\BoundView;
use App\Courtside\Answers\CostView;
use App\Wording\Wording;
use Augendo\Core\Limits\Gauge;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Side;

/** What limits still allow, and what one repetition takes of each: data a device counts with. */
final class Bounds
{
    public static function answer(Gauge $gauge): BoundView
    {
        $state = $gauge->read([]);

        return new BoundView(
            limit_id: $gauge->limit->id,
            label: $gauge->limit->label,
            full: Wording::full([$gauge->limit]),
            unit: Wording::unit($gauge->limit),
            remaining: (float) $gauge->allowance,
            max: (float) $state->max,
            used: (float) $state->used,
        );
    }

    /**
     * What one repetition takes of each bound.
     *
     * @param  list<Gauge>  $budget
     * @return list<CostView>
     */
    public static function costs(CostedSet $oneRep, Side $side, array $budget): array
    {
        $costs = [];
        foreach ($budget as $gauge) {
            if ($gauge->limit->measure !== null && $gauge->limit->touches($oneRep)) {
                $costs[] = new CostView($side->value, $gauge->limit->id, $oneRep->cost[$gauge->limit->measure->value]);
            }
        }

        return $costs;
    }
}
