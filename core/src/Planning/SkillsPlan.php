<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Load\CostedSet;

/** All skills of one athlete in one plan. No hard limit is over on any of its days because of it. */
final readonly class SkillsPlan
{
    /**
     * @param  non-empty-list<SkillPlan>  $skills  in the coach's order
     * @param  non-empty-list<SkillPlan>|null  $nextBest  the best of the other ways that were simulated; null: there is no other
     * @param  list<CostedSet>  $beside  planned beside all of them
     * @param  int  $ways  of sharing the week's heavy days out that differ
     * @param  int  $simulated  of them
     */
    public function __construct(
        public Sharing $sharing,
        public array $skills,
        public ?array $nextBest,
        public array $beside,
        public int $ways,
        public int $simulated,
    ) {}

    /** Whether there was no way to give every skill a heavy day of its own. */
    public function isUndivided(): bool
    {
        return count($this->skills) > 1 && $this->skills[0]->leads === null;
    }

    /** @return list<list<int>|null> days of a fortnight each skill may be heavy on, see Together */
    public function leads(): array
    {
        return array_map(fn (SkillPlan $skill): ?array => $skill->leads, $this->skills);
    }

    /** @return array<int, array<int, SeasonDay>> by ordinal of the day and place of the skill in the order */
    public function byDay(): array
    {
        $byDay = [];
        foreach ($this->skills as $at => $skill) {
            foreach ($skill->plan->days as $day) {
                $byDay[$day->day->ordinal][$at] = $day;
            }
        }

        return $byDay;
    }

    /**
     * What a plan is chosen by, the most important first; of two, the greater is the better.
     *
     * @param  non-empty-list<SkillPlan>  $skills  in the coach's order
     * @return list<float>
     */
    public static function worth(array $skills, Sharing $sharing): array
    {
        $late = array_map(fn (SkillPlan $skill): float => -(float) $skill->daysLate(), $skills);
        // A repetition more or less decides nothing.
        $shares = array_map(fn (SkillPlan $skill): float => round($skill->share(), 2), $skills);

        return $sharing === Sharing::InOrder
            ? [...$late, ...$shares]
            : [min($late), array_sum($late), min($shares), round(array_sum($shares), 2)];
    }
}
