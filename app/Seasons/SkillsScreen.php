<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\AthleteDay;
use App\Athletes\Cards;
use App\Gates\Placement;
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
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SkillPlan;
use Augendo\Core\Planning\SkillsPlan;
use Augendo\Core\Planning\WeeklyDays;

/** What each skill gets of one arm: days, heavy ones, repetitions, and what each gives up for the others. */
final class SkillsScreen
{
    private const WEEKS_TO_START_WITH = 12;

    /** What is asked before anybody has chosen: three days, two apart. */
    private const WEEKDAYS_TO_START_WITH = [1, 3, 5];

    /** Rungs ahead that are asked for before anybody has chosen. */
    private const RUNGS_TO_START_WITH = 2;

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
        if ($given['skills'] === []) {
            return $this->nothing($athlete, $today);
        }
        $seasons = $this->together->drafts($athlete, $given, $today);
        $day = new AthleteDay($athlete, $today, $seasons[0]->squad);
        $kept = array_filter($seasons, fn (Season $each): bool => ! $each->exists || $each->isDirty()) === [];
        $plan = $this->together->plan($seasons, $today);
        $asKept = $kept && array_map(fn (SkillPlan $each): ?array => $each->leads, $plan->skills)
            === array_map(fn (Season $each): ?array => $each->leads, $seasons);
        $taken = array_column($given['skills'], 'ladder');

        return new SkillsView(
            athlete: Cards::athlete($athlete, $today),
            date: $today->iso(),
            evenly: $given['evenly'],
            skills: array_map(
                fn (int $at): SkillSeasonView => $this->skill($seasons[$at], $plan->skills[$at], $day),
                array_keys($seasons),
            ),
            others: array_values(array_filter(
                $this->ladders($athlete),
                fn (NamedView $each): bool => ! in_array($each->id, $taken, true),
            )),
            kept: $asKept,
            chosen: PlanWording::chosen($plan),
            next_best: PlanWording::nextBest($plan, $this->names($seasons)),
            undivided: count($seasons) > 1 && $plan->skills[0]->leads === null ? PlanWording::undivided() : null,
            weeks: $this->weeks($plan, $day),
            cautions: array_values(array_unique(array_merge(
                ...array_map(fn (Season $each): array => $this->library->ladder($each->ladder)->cautions, $seasons),
            ))),
        );
    }

    private function nothing(Athlete $athlete, Day $today): SkillsView
    {
        return new SkillsView(
            athlete: Cards::athlete($athlete, $today),
            date: $today->iso(),
            evenly: false,
            skills: [],
            others: $this->ladders($athlete),
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
        $skills = array_map(fn (Season $each): array => [
            'ladder' => $each->ladder, 'version' => $each->version, 'goal_rung' => $each->goal_rung, 'goal_on' => $each->goalOn()->iso(),
            'weekdays' => $each->weekdays, 'minutes' => $each->minutes,
        ], $open);

        return $open !== []
            ? ['evenly' => $open[0]->evenly, 'skills' => $skills]
            : ['evenly' => false, 'skills' => $this->toStartWith($athlete, $today)];
    }

    /** @return list<array<string, mixed>> */
    private function toStartWith(Athlete $athlete, Day $today): array
    {
        $asked = [];
        foreach ($this->ladders($athlete) as $ladder) {
            $of = $this->library->ladder($ladder->id);
            $placement = Placement::standing()->where('athlete_id', $athlete->id)->where('ladder', $ladder->id)
                ->orderByDesc('entered_at')->firstOrFail();
            $at = (int) $of->position($placement->rung) + self::RUNGS_TO_START_WITH;
            $asked[] = [
                'ladder' => $ladder->id, 'version' => null, 'goal_rung' => $of->rungs[min(count($of->rungs) - 1, $at)]->id,
                'goal_on' => $today->plus(self::WEEK_DAYS * self::WEEKS_TO_START_WITH)->iso(),
                'weekdays' => self::WEEKDAYS_TO_START_WITH, 'minutes' => null,
            ];
        }

        return $asked;
    }

    /** @return list<NamedView> ladders the athlete stands on whose file can be read */
    private function ladders(Athlete $athlete): array
    {
        $ids = Placement::standing()->where('athlete_id', $athlete->id)->orderBy('entered_at')->pluck('ladder')->unique();

        return $ids->intersect($this->library->ladderIds())
            ->map(fn (string $id): NamedView => new NamedView($id, $this->library->ladder($id)->name))->values()->all();
    }

    /**
     * @param  list<Season>  $seasons
     * @return list<string>
     */
    private function names(array $seasons): array
    {
        return array_map(fn (Season $each): string => $this->library->ladder($each->ladder)->name, $seasons);
    }

    private function skill(Season $season, SkillPlan $of, AthleteDay $day): SkillSeasonView
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
            current_rung: $day->ladders->placementsOf($season->athlete)[$ladder->id]->rung,
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
    private function weeks(SkillsPlan $plan, AthleteDay $day): array
    {
        $last = max(array_map(fn (SkillPlan $each): int => $each->plan->ask->goalDay->ordinal, $plan->skills));
        $weeks = [];
        for ($monday = WeeklyDays::monday($day->on); $monday->ordinal <= $last; $monday = $monday->plus(self::WEEK_DAYS)) {
            $days = array_map(
                fn (int $after): SkillsDayView => $this->day($plan, $monday->plus($after), $day),
                range(0, self::WEEK_DAYS - 1),
            );
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

    private function day(SkillsPlan $plan, Day $on, AthleteDay $day): SkillsDayView
    {
        $items = $fullest = [];
        $match = null;
        foreach ($plan->skills as $skill => $of) {
            foreach ($of->plan->days as $each) {
                if (! $each->day->equals($on)) {
                    continue;
                }
                if ($each->match !== null) {
                    $match ??= $each;
                } else {
                    $items[] = self::item($skill, $each);
                }
                $fullest = $each->fullest === null ? $fullest : [...$fullest, $each->fullest];
            }
        }
        $sets = array_values(array_filter($plan->beside, fn (CostedSet $set): bool => $set->day === $on->ordinal));
        $state = LimitState::fullest($fullest);

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
