<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\Cards;
use App\Gates\Placement;
use App\Seasons\Answers\OtherSkillView;
use App\Seasons\Answers\SkillsDayView;
use App\Seasons\Answers\SkillSeasonView;
use App\Seasons\Answers\SkillsItemView;
use App\Seasons\Answers\SkillsView;
use App\Seasons\Answers\SkillsWeekView;
use App\Wording\PlanWording;
use App\Wording\Wording;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitState;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Planning\AllSkills;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SkillPlan;
use Augendo\Core\Planning\SkillsPlan;
use Augendo\Core\Planning\WeeklyDays;

/** What each skill gets of one arm: days, heavy ones, repetitions, and what each gives up for the others. */
final class SkillsScreen
{
    private const WEEK_DAYS = 7;

    public function __construct(private readonly Library $library, private readonly PlanTogether $together) {}

    /** As the seasons are kept, or where there are none, as they could be. */
    public function view(Athlete $athlete, Day $today): SkillsView
    {
        return $this->asked($athlete, $this->given($athlete, $today), $today);
    }

    /** @param  array{evenly: bool, skills: list<array<string, mixed>>}  $given  validated, or as they are kept */
    public function asked(Athlete $athlete, array $given, Day $today): SkillsView
    {
        $others = $this->others($athlete, array_column($given['skills'], 'ladder'), $today);
        if ($given['skills'] === []) {
            return $this->nothing($athlete, $others, $today);
        }
        $seasons = $this->together->drafts($athlete, $given, $today);
        $kept = array_filter($seasons, fn (Season $each): bool => ! $each->exists || $each->isDirty()) === [];
        $plan = $this->together->plan($seasons, $today);

        return new SkillsView(
            athlete: Cards::athlete($athlete, $today),
            date: $today->iso(),
            evenly: $given['evenly'],
            skills: array_map($this->skill(...), $seasons, $plan->skills),
            others: $others,
            kept: $kept && $plan->leads() === array_map(fn (Season $each): ?array => $each->leads, $seasons),
            chosen: PlanWording::chosen($plan),
            next_best: PlanWording::nextBest($plan, $this->names($seasons)),
            undivided: $plan->isUndivided() ? PlanWording::undivided() : null,
            weeks: self::weeks($plan, $today),
            cautions: array_values(array_unique(array_merge(
                ...array_map(fn (Season $each): array => $this->library->ladder($each->ladder)->cautions, $seasons),
            ))),
        );
    }

    /** @param  list<OtherSkillView>  $others */
    private function nothing(Athlete $athlete, array $others, Day $today): SkillsView
    {
        return new SkillsView(
            athlete: Cards::athlete($athlete, $today),
            date: $today->iso(),
            evenly: false,
            skills: [],
            others: $others,
            kept: false,
            chosen: '',
            next_best: null,
            undivided: null,
            weeks: [],
            cautions: [],
        );
    }

    /** @return array{evenly: bool, skills: list<array<string, mixed>>} as it is kept; with no season open, every ladder that is stood on */
    private function given(Athlete $athlete, Day $today): array
    {
        $open = PlanTogether::open($athlete);
        if ($open === []) {
            $asked = array_map(fn (OtherSkillView $each): array => [
                'ladder' => $each->ladder, 'version' => null, 'goal_rung' => $each->goal_rung, 'goal_on' => $each->goal_on,
                'weekdays' => $each->weekdays, 'minutes' => null,
            ], $this->others($athlete, [], $today));

            return ['evenly' => false, 'skills' => array_slice($asked, 0, AllSkills::MOST)];
        }

        return ['evenly' => $open[0]->evenly, 'skills' => array_map(fn (Season $each): array => [
            'ladder' => $each->ladder, 'version' => $each->version, 'goal_rung' => $each->goal_rung, 'goal_on' => $each->goalOn()->iso(),
            'weekdays' => $each->weekdays, 'minutes' => $each->minutes,
        ], $open)];
    }

    /**
     * @param  list<string>  $taken  ladders that are planned already
     * @return list<OtherSkillView> others the athlete stands on whose file can be read
     */
    private function others(Athlete $athlete, array $taken, Day $today): array
    {
        $rungs = Placement::standing()->where('athlete_id', $athlete->id)->whereNotIn('ladder', $taken)
            ->orderBy('entered_at')->orderBy('id')->pluck('rung', 'ladder');
        $others = [];
        foreach ($rungs->only($this->library->ladderIds()) as $id => $rung) {
            $ladder = $this->library->ladder($id);
            $ask = SeasonAsk::toStartWith($today, $ladder, $rung);
            $others[] = new OtherSkillView($id, $ladder->name, $ask->goalRung, $ask->goalDay->iso(), $ask->weekdays);
        }

        return $others;
    }

    /**
     * @param  list<Season>  $seasons
     * @return list<string>
     */
    private function names(array $seasons): array
    {
        return array_map(fn (Season $each): string => $this->library->ladder($each->ladder)->name, $seasons);
    }

    private function skill(Season $season, SkillPlan $of): SkillSeasonView
    {
        $ladder = $this->library->ladder($season->ladder);
        $held = [];
        foreach ($of->heldBackBy() as $label => $days) {
            $held[] = Wording::limitName($label).', '.Wording::count($days, 'day');
        }

        return new SkillSeasonView(
            ladder: $ladder->id,
            ladder_name: $ladder->name,
            season_id: $season->exists ? $season->id : null,
            version: $season->exists ? $season->version : null,
            rungs: array_map(fn (Rung $rung): NamedView => new NamedView($rung->id, $rung->name), $ladder->rungs),
            current_rung: $of->skill->standing->rung,
            goal_rung: $season->goal_rung,
            goal_on: $season->goalOn()->iso(),
            weekdays: $season->weekdays,
            minutes: $season->minutes,
            leads: $of->leads === null ? null : PlanWording::leads($of->leads),
            outlook: PlanWording::outlook($of, $ladder->rung((string) $season->goal_rung)?->name),
            in_time: $of->daysLate() === 0,
            reps: SkillPlan::repsOf($of->plan),
            reps_alone: SkillPlan::repsOf($of->alone),
            held_back: $held,
        );
    }

    /** @return list<SkillsWeekView> from the week of today to the last goal */
    private static function weeks(SkillsPlan $plan, Day $today): array
    {
        $planned = $plan->byDay();
        $beside = [];
        foreach ($plan->beside as $set) {
            $beside[$set->day][] = $set;
        }
        $last = max(array_map(fn (SkillPlan $each): int => $each->plan->ask->goalDay->ordinal, $plan->skills));
        $weeks = [];
        for ($monday = WeeklyDays::monday($today); $monday->ordinal <= $last; $monday = $monday->plus(self::WEEK_DAYS)) {
            $days = [];
            for ($on = $monday; $on->daysSince($monday) < self::WEEK_DAYS; $on = $on->plus(1)) {
                $days[] = self::day($on, $planned[$on->ordinal] ?? [], $beside[$on->ordinal] ?? []);
            }
            $first = $plan->skills[0]->plan;
            $weeks[] = new SkillsWeekView(
                number: count($weeks) + 1,
                monday: $monday->iso(),
                lighter: in_array($first->ask->week($monday->ordinal), $first->lightWeeks, true),
                arm: array_sum(array_map(fn (SkillsDayView $each): float => $each->arm, $days)),
                landings: array_sum(array_map(fn (SkillsDayView $each): float => $each->landings, $days)),
                arm_of: array_map(fn (int $skill): float => self::armOf($skill, $days), array_keys($plan->skills)),
                days: $days,
            );
        }

        return $weeks;
    }

    /** @param  list<SkillsDayView>  $days */
    private static function armOf(int $skill, array $days): float
    {
        $units = 0.0;
        foreach ($days as $day) {
            foreach ($day->items as $item) {
                $units += $item->skill === $skill ? $item->arm : 0.0;
            }
        }

        return $units;
    }

    /**
     * @param  array<int, SeasonDay>  $planned  by place of the skill in the order; a match is in each of them
     * @param  list<CostedSet>  $sets  planned beside all of them
     */
    private static function day(Day $on, array $planned, array $sets): SkillsDayView
    {
        $matches = array_values(array_filter($planned, fn (SeasonDay $each): bool => $each->match !== null));
        $match = $matches[0] ?? null;
        $sessions = array_filter($planned, fn (SeasonDay $each): bool => $each->match === null);
        $items = array_map(self::item(...), array_keys($sessions), $sessions);
        $state = LimitState::fullest(array_values(array_filter(array_map(fn (SeasonDay $each): ?LimitState => $each->fullest, $planned))));

        return new SkillsDayView(
            date: $on->iso(),
            items: $items,
            match: $match?->match?->title,
            beside: $sets !== [],
            arm: self::sum($items, $match, $sets, 'arm'),
            landings: self::sum($items, $match, $sets, 'landings'),
            fullest: $state === null ? null : Wording::limitName($state->limit->label),
            fullest_share: $state?->share(),
        );
    }

    private static function item(int $skill, SeasonDay $day): SkillsItemView
    {
        return new SkillsItemView(
            skill: $skill,
            rung: $day->rung?->name,
            emphasis: (string) $day->emphasis?->value,
            emphasis_name: $day->emphasis === null ? '' : PlanWording::emphasis($day->emphasis),
            heavy: $day->emphasis?->isHeavy() === true,
            own_reps: $day->ownReps(),
            begins: $day->begins,
            arm: $day->cost('arm'),
            landings: $day->cost('landings'),
            why: PlanWording::whyDay($day),
        );
    }

    /**
     * @param  list<SkillsItemView>  $items
     * @param  list<CostedSet>  $sets
     * @param  'arm'|'landings'  $measure
     */
    private static function sum(array $items, ?SeasonDay $match, array $sets, string $measure): float
    {
        return array_sum(array_map(fn (SkillsItemView $item): float => $item->{$measure}, $items))
            + ($match?->cost($measure) ?? 0.0)
            + array_sum(array_map(fn (CostedSet $set): float => $set->cost[$measure], $sets));
    }
}
