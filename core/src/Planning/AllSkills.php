<?php

declare(strict_types=1);

namespace Augendo\Core\Planning;

use Augendo\Core\Load\CostedSet;

/**
 * Plans several skills of one athlete together. They are planned one after the other in the coach's order, each around what the ones
 * before it take; heavy days of skills that load one part lie the rest of that part apart, and the lighter weeks are the same for all.
 * Which skill is heavy on which weekday is tried: the most promising ways of sharing the week out are simulated whole, and the best of
 * them is the plan.
 */
final class AllSkills
{
    /** Ways of sharing the week out that are simulated. */
    public const SIMULATED = 3;

    /** Skills that are planned together at most. */
    public const MOST = 6;

    private const WEEK_DAYS = 7;

    /** @var array<int, SeasonPlan> each skill alone, as far as it was asked for */
    private array $alone = [];

    /** @var list<list<bool>> whether two skills load one part */
    private readonly array $shares;

    /** @var list<int> ordinals */
    private readonly array $lightMondays;

    /** @param  non-empty-list<SkillAsk>  $skills  in the coach's order */
    private function __construct(
        private readonly array $skills,
        private readonly Sharing $sharing,
        private readonly AthleteAhead $athlete,
    ) {
        $this->shares = array_map(
            fn (SkillAsk $a): array => array_map(
                fn (SkillAsk $b): bool => $a->sharesAPartWith($b, $athlete->price, $a->ask->from),
                $skills,
            ),
            $skills,
        );
        $this->lightMondays = $this->lightMondays();
    }

    /** @param  non-empty-list<SkillAsk>  $skills  in the coach's order */
    public static function plan(array $skills, Sharing $sharing, AthleteAhead $athlete): SkillsPlan
    {
        return (new self($skills, $sharing, $athlete))->best(self::SIMULATED, LeadDays::KEPT);
    }

    /**
     * Every way of sharing the week out, simulated: for small cases, to hold plan() against.
     *
     * @param  non-empty-list<SkillAsk>  $skills  in the coach's order
     */
    public static function exhaustive(array $skills, Sharing $sharing, AthleteAhead $athlete): SkillsPlan
    {
        return (new self($skills, $sharing, $athlete))->best(PHP_INT_MAX, PHP_INT_MAX);
    }

    /**
     * The plan of a week that was shared out before.
     *
     * @param  non-empty-list<SkillAsk>  $skills  in the coach's order, with what they lead
     * @return non-empty-list<SeasonPlan>
     */
    public static function kept(array $skills, Sharing $sharing, AthleteAhead $athlete): array
    {
        $all = new self($skills, $sharing, $athlete);

        return $all->inOrder(array_map(fn (SkillAsk $skill): ?array => $skill->ask->together->leads, $skills), true);
    }

    private function best(int $simulated, int $kept): SkillsPlan
    {
        $ways = $this->ways($kept);
        $tried = array_map($this->simulated(...), array_slice($ways, 0, $simulated));
        $sharing = $this->sharing;
        usort($tried, fn (array $a, array $b): int => SkillsPlan::worth($b, $sharing) <=> SkillsPlan::worth($a, $sharing));

        return new SkillsPlan(
            sharing: $this->sharing,
            skills: $tried[0],
            nextBest: $tried[1] ?? null,
            beside: $this->athlete->otherPlans,
            ways: count($ways),
            simulated: count($tried),
        );
    }

    /** @return non-empty-list<list<list<int>|null>> days of a fortnight each skill leads, the most promising way first */
    private function ways(int $kept): array
    {
        $weekdays = array_map(fn (SkillAsk $skill): array => $skill->ask->weekdays, $this->skills);
        $ways = count($this->skills) === 1 ? [] : LeadDays::ranked($weekdays, $this->shares, $this->sharing, $kept);

        return $ways === [] ? [array_fill(0, count($this->skills), null)] : $ways;
    }

    /**
     * @param  list<list<int>|null>  $leads
     * @return non-empty-list<SkillPlan>
     */
    private function simulated(array $leads): array
    {
        $plans = $this->inOrder($leads, false);

        return array_map(
            fn (int $at): SkillPlan => new SkillPlan($this->skills[$at], $plans[$at], $leads[$at], $this->alone($at)),
            array_keys($this->skills),
        );
    }

    /**
     * @param  list<list<int>|null>  $leads
     * @return non-empty-list<SeasonPlan>
     */
    private function inOrder(array $leads, bool $findsNearest): array
    {
        $plans = [];
        foreach ($this->skills as $at => $skill) {
            $beside = $this->keptForLater($at);
            $heavy = [];
            foreach ($plans as $other => $plan) {
                $beside = [...$beside, ...self::sets($plan)];
                $heavy = [...$heavy, ...($this->shares[$at][$other] && $leads[$at] !== null ? self::heavy($plan) : [])];
            }
            $together = new Together($leads[$at], $this->besides($skill), $heavy, $this->lightMondays);
            $plans[] = $this->athlete->plan($skill, $this->asked($skill, $together), $beside, $findsNearest);
        }

        return $plans;
    }

    private function alone(int $at): SeasonPlan
    {
        $skill = $this->skills[$at];

        return $this->alone[$at] ??= $this->athlete->plan(
            skill: $skill,
            ask: $this->asked($skill, new Together(skills: $this->besides($skill))),
            beside: [],
            findsNearest: false,
        );
    }

    private function asked(SkillAsk $skill, Together $together): SeasonAsk
    {
        return $skill->ask->with(['together' => $together]);
    }

    /** @return list<string> ids of the other skills, where they are others */
    private function besides(SkillAsk $skill): array
    {
        $ids = array_map(fn (SkillAsk $each): string => $each->ladder->skill->id, $this->skills);

        return array_values(array_unique(array_diff($ids, [$skill->ladder->skill->id])));
    }

    /**
     * Evenly: what comes later is kept its part of what it would do alone.
     *
     * @return list<CostedSet>
     */
    private function keptForLater(int $at): array
    {
        $kept = [];
        $part = 1.0 / count($this->skills);
        for ($later = $at + 1; $this->sharing === Sharing::Evenly && $later < count($this->skills); $later++) {
            $kept = [...$kept, ...array_map(fn (CostedSet $set): CostedSet => $set->share($part), self::sets($this->alone($later)))];
        }

        return $kept;
    }

    /** @return list<CostedSet> what a plan takes beside the matches, which every skill plans around itself */
    private static function sets(SeasonPlan $plan): array
    {
        $sessions = array_filter($plan->days, fn (SeasonDay $day): bool => $day->match === null);

        return array_merge([], ...array_values(array_map(fn (SeasonDay $day): array => $day->sets, $sessions)));
    }

    /** @return list<int> ordinals */
    private static function heavy(SeasonPlan $plan): array
    {
        $heavy = array_filter($plan->days, fn (SeasonDay $day): bool => $day->emphasis?->isHeavy() === true);

        return array_values(array_map(fn (SeasonDay $day): int => $day->day->ordinal, $heavy));
    }

    /** @return list<int> of the season that goes furthest: the arm has one lighter week, whatever it is used for */
    private function lightMondays(): array
    {
        $furthest = $this->skills[0]->ask;
        foreach ($this->skills as $skill) {
            $furthest = $skill->ask->goalDay->isAfter($furthest->goalDay) ? $skill->ask : $furthest;
        }
        $weeks = (new Rhythm($furthest, []))->lightWeeks;

        return array_map(fn (int $week): int => $furthest->monday() + self::WEEK_DAYS * $week, $weeks);
    }
}
