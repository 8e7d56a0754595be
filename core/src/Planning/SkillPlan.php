<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Day;

/** One skill of several: its season beside the others, and what it would be without them. */
final readonly class SkillPlan
{
    /** A goal that is not in sight counts as so many days late. */
    private const OUT_OF_SIGHT_DAYS = 400;

    /**
     * @param  list<int>|null  $leads  days of a fortnight on which it may be heavy, see Together; null: any
     * @param  SeasonPlan  $alone  the same athlete's season of this skill alone
     */
    public function __construct(public SkillAsk $skill, public SeasonPlan $plan, public ?array $leads, public SeasonPlan $alone) {}

    /** Judged repetitions of its rungs. */
    public static function repsOf(SeasonPlan $plan): int
    {
        return array_sum(array_map(fn (SeasonDay $day): int => $day->ownReps(), $plan->days));
    }

    /** The day the goal's rung is begun; null when it is stood on, held, or not within half a year of the goal. */
    public static function goalBegun(SeasonPlan $plan): ?Day
    {
        return $plan->expected === [] ? null : $plan->expected[count($plan->expected) - 1]->likely;
    }

    /** @return int days the goal's rung is begun after the goal day; 0 in time, or where there is none to reach */
    public function daysLate(): int
    {
        if ($this->plan->expected === []) {
            return 0;
        }
        $begun = self::goalBegun($this->plan);

        return $begun === null ? self::OUT_OF_SIGHT_DAYS : max(0, $begun->daysSince($this->plan->ask->goalDay));
    }

    /** Judged repetitions, of those it would have alone; not above 1. */
    public function share(): float
    {
        $alone = self::repsOf($this->alone);

        return $alone === 0 ? 1.0 : min(1.0, self::repsOf($this->plan) / $alone);
    }

    /** @return array<string, int> days on which a limit took something from it, by the label of the limit, the most first */
    public function heldBackBy(): array
    {
        $days = [];
        foreach ($this->plan->days as $day) {
            $labels = [];
            foreach ($day->built->trims ?? [] as $trim) {
                foreach ($trim->limits as $state) {
                    $labels[$state->label] = true;
                }
            }
            foreach (array_keys($labels) as $label) {
                $days[$label] = ($days[$label] ?? 0) + 1;
            }
        }
        arsort($days);

        return $days;
    }
}
