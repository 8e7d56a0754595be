<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\AthleteDay;
use App\Athletes\TestsTaken;
use App\Gates\Placement;
use App\Health\DatedBounds;
use App\Http\Problem;
use App\Http\ProblemType;
use App\Limits\AthleteLoad;
use App\Returns\ReturnsUnderWay;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use App\Sessions\TrainingSession;
use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\DoseShares;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryProblem;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\AllSkills;
use Augendo\Core\Planning\AthleteAhead;
use Augendo\Core\Planning\Carried;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Planning\Pace;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonPlan;
use Augendo\Core\Planning\SeasonReturn;
use Augendo\Core\Planning\Sharing;
use Augendo\Core\Planning\SkillAsk;
use Augendo\Core\Planning\SkillsPlan;
use Augendo\Core\Planning\SquadDays;
use Augendo\Core\Planning\Standing;
use Augendo\Core\Planning\TestsAsked;
use Augendo\Core\Planning\Together;
use Augendo\Core\Planning\WeeklyDays;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Weeks ahead as they come of the record as it is: of one season, and of all that an athlete has open. */
final class WeeksAhead
{
    /** How far beyond its goal the squad's own sessions are looked at: as far as the planner looks for the goal. */
    private const SQUAD_BEYOND_DAYS = 182;

    public function __construct(private readonly Library $library, private readonly RungsClimbed $climbed) {}

    /** @param  Season  $season  kept, or only filled in to be looked at */
    public function plan(Season $season, Day $today): SeasonPlan
    {
        return $this->look($season, $today)->plan;
    }

    /**
     * A season beside the other seasons its athlete has open: those before it in the coach's order are planned first.
     *
     * @param  Season  $season  kept, or only filled in to be looked at
     */
    public function look(Season $season, Day $today): SeasonLook
    {
        $day = new AthleteDay($season->athlete, $today, $season->squad);
        $this->refuseWithoutPlace($season, $day);
        $seasons = $this->openWith($season, $day, $today);
        $skills = array_map(fn (Season $each): SkillAsk => $this->skill($each, $day, $today), $seasons);
        $ahead = $this->ahead($seasons, $skills, $day, $today);
        if (count($skills) === 1) {
            $alone = $skills[0]->ask->with(['together' => new Together]);

            return new SeasonLook($ahead->plan($skills[0], $alone, [], true), $ahead->otherPlans, []);
        }
        $plans = AllSkills::kept($skills, $season->evenly ? Sharing::Evenly : Sharing::InOrder, $ahead);
        $own = (int) array_search($season, $seasons, true);
        $others = [];
        foreach ($plans as $at => $plan) {
            if ($at !== $own) {
                $others[$this->library->ladder($seasons[$at]->ladder)->name] = $plan;
            }
        }

        return new SeasonLook($plans[$own], $ahead->otherPlans, $others);
    }

    /**
     * Several seasons of one athlete, planned together anew: which of them is heavy on which day is worked out.
     *
     * @param  non-empty-list<Season>  $seasons  in the coach's order, kept or only filled in
     */
    public function together(array $seasons, Sharing $sharing, AthleteDay $day): SkillsPlan
    {
        foreach ($seasons as $season) {
            $this->refuseWithoutPlace($season, $day);
        }
        $skills = array_map(fn (Season $each): SkillAsk => $this->skill($each, $day, $day->on), $seasons);

        return AllSkills::plan($skills, $sharing, $this->ahead($seasons, $skills, $day, $day->on));
    }

    private function refuseWithoutPlace(Season $season, AthleteDay $day): void
    {
        if (! isset($day->ladders->placementsOf($season->athlete)[$season->ladder])) {
            $ladder = $this->library->ladder($season->ladder);
            throw new Problem(
                ProblemType::NotOnThisLadder,
                "{$season->athlete->given_name} has no place on “{$ladder->name}”. Place the athlete first, under Intake.",
                ['ladder' => ['Not on this ladder yet.']],
            );
        }
    }

    /** @return non-empty-list<Season> those that are open and not over, this one among them, in the coach's order */
    private function openWith(Season $season, AthleteDay $day, Day $today): array
    {
        $others = Season::openOf($season->athlete)
            ->when($season->exists, fn (Builder $others) => $others->whereKeyNot($season->id))
            ->where('ladder', '!=', $season->ladder)
            ->where('goal_on', '>=', $today->iso())
            ->get()
            ->filter(fn (Season $each): bool => $this->isReadable($each, $day))
            ->each(fn (Season $each) => $each->setRelation('athlete', $season->athlete)->setRelation('squad', $season->squad))
            ->all();
        // One that is not kept yet comes last.
        $place = fn (Season $each): array => [$each->exists ? 0 : 1, $each->place, (string) $each->created_at, (string) $each->id];
        $all = [...array_values($others), $season];
        usort($all, fn (Season $a, Season $b): int => $place($a) <=> $place($b));

        return $all;
    }

    /** Whether a season can be planned at all; one that cannot says so on its own page. */
    private function isReadable(Season $season, AthleteDay $day): bool
    {
        try {
            return isset($day->ladders->placementsOf($season->athlete)[$season->ladder])
                && $this->library->ladder($season->ladder)->rungs !== [];
        } catch (LibraryProblem) {
            return false;
        }
    }

    private function skill(Season $season, AthleteDay $day, Day $today): SkillAsk
    {
        $ladder = $this->library->ladder($season->ladder);
        $placement = $day->ladders->placementsOf($season->athlete)[$ladder->id];

        return new SkillAsk(
            ask: $this->ask($season, $today, $day->load->fixtures, $this->squadDays($season, $today)),
            ladder: $ladder
                ->forAthlete($day->load->profile, $today, $this->library->doses())
                ->onFloor(Surface::tryFrom((string) $season->squad->floor)),
            standing: $this->standing($season, $placement, $today, $this->library->doses()->at($day->load->age)),
            // Today's own words hold today; tomorrow is planned as if nothing were sore.
            first: $season->startsOn()->isAfter($today) ? self::calm($day) : $day->readiness,
            return: $this->wayBack($day, $ladder->id, $ladder->skill->id),
        );
    }

    /**
     * @param  non-empty-list<Season>  $seasons
     * @param  non-empty-list<SkillAsk>  $skills  of them
     */
    private function ahead(array $seasons, array $skills, AthleteDay $day, Day $today): AthleteAhead
    {
        return new AthleteAhead(
            price: $day->load->price,
            record: $day->load->record,
            limits: $day->limits,
            throwing: $day->athlete->throwing_side,
            calm: self::calm($day),
            otherPlans: $this->beside($seasons, $skills, $day->load, $today),
        );
    }

    private static function calm(AthleteDay $day): Readiness
    {
        $nothingSore = new SorenessReport(
            at: Instant::of("{$day->on->iso()}T00:00:00Z"),
            moment: Moment::Morning,
            site: Site::None,
            side: null,
            kind: Kind::Muscle,
            score: 0,
        );

        return Readiness::on($day->on, $day->load->age, [$nothingSore], []);
    }

    /**
     * What is planned beside the seasons and priced as it is: other skills, training elsewhere, doses a coach set, and a session of the
     * squad on a day a season leaves out. Their own sheets and the matches are in the plans themselves.
     *
     * @param  non-empty-list<Season>  $seasons
     * @param  non-empty-list<SkillAsk>  $skills  of them
     * @return list<CostedSet>
     */
    private function beside(array $seasons, array $skills, AthleteLoad $load, Day $today): array
    {
        $inPlan = [];
        // What they made for a day they do not train on any more goes with the next look at the calendar.
        $extra = TrainingSession::query()->where('extra', true)->select('id');
        foreach ($seasons as $at => $season) {
            foreach ($this->sheetsUsed($season, $skills[$at]->ask, $today) as $sheet) {
                $inPlan[$sheet->id] = true;
            }
            $made = Sheet::query()->where('season_id', $season->id)->whereIn('training_session_id', $extra)->where('state', 'planned');
            foreach ($made->where('edited', false)->pluck('id') as $id) {
                $inPlan[$id] = true;
            }
        }
        foreach ($load->fixtures->ahead($seasons[0]->athlete_id, Fixture::MATCH) as $match) {
            $inPlan[MatchEvent::session($match->id)] = true;
        }

        return array_values(array_filter($load->plans, fn (CostedSet $set): bool => ! isset($inPlan[$set->session])));
    }

    /** @return array<string, Sheet> the sheet each training day of the season uses, by day: its own, else the first there is */
    public function sheetsUsed(Season $season, SeasonAsk $ask, Day $today): array
    {
        $days = array_flip($ask->trainingDays());
        $used = [];
        $sheets = Sheet::query()
            ->where('athlete_id', $season->athlete_id)
            ->where('ladder', $season->ladder)
            ->where('held_on', '>=', $today->iso())
            ->where('state', 'planned')
            ->where('edited', false)
            ->orderBy('held_on')
            ->orderBy('id')
            ->get();
        foreach ($sheets as $sheet) {
            $iso = $sheet->day()->iso();
            if (isset($days[$sheet->day()->ordinal]) && (! isset($used[$iso]) || $sheet->season_id === $season->id)) {
                $used[$iso] = $sheet;
            }
        }

        return $used;
    }

    /** From the Monday the season began in: heavy and light days keep their rhythm when it is planned anew in the middle of a week. */
    public function squadDays(Season $season, Day $today): SquadDays
    {
        return SquadSessions::days(
            athlete: $season->athlete,
            ladder: $season->ladder,
            from: WeeklyDays::monday($season->startsOn()),
            to: $season->goalOn()->latest($today)->plus(self::SQUAD_BEYOND_DAYS),
        );
    }

    private function ask(Season $season, Day $today, Fixtures $fixtures, SquadDays $squad): SeasonAsk
    {
        // Doses a coach set on a day are priced as they are; the season plans nothing on top of them.
        $given = Sheet::query()
            ->where('athlete_id', $season->athlete_id)
            ->where('ladder', $season->ladder)
            ->where('held_on', '>', $today->iso())
            ->where('state', 'planned')
            ->where('edited', true)
            ->get()
            ->map(fn (Sheet $sheet): int => $sheet->day()->ordinal)
            ->all();
        $matches = array_map(
            fn (Fixture $each) => $each->event($this->library->skills(), $season->athlete_id),
            $fixtures->ahead($season->athlete_id, Fixture::MATCH),
        );
        $moves = [];
        foreach ($season->moves as $from => $to) {
            $moves[Day::of($from)->ordinal] = Day::of($to)->ordinal;
        }

        return new SeasonAsk(
            from: $season->startsOn()->latest($today),
            goalDay: $season->goalOn(),
            weekdays: $season->weekdays,
            goalRung: $season->goal_rung,
            matches: $matches,
            moves: $moves,
            off: [
                ...array_map(fn (string $iso): int => Day::of($iso)->ordinal, $season->off),
                ...$squad->lost,
                ...array_values($given),
                ...(new DatedBounds([$season->athlete_id], $today))->daysOff($season->athlete_id, $today, $season->goalOn()),
            ],
            minutes: $season->minutes,
            start: $season->startsOn(),
            withSquad: $squad->with,
            heeded: $season->heeded(),
            together: new Together($season->leads),
            tests: $season->tests ? $this->tests($season, $today) : null,
        );
    }

    private function tests(Season $season, Day $today): ?TestsAsked
    {
        $skill = $this->library->ladder($season->ladder)->skill;
        $protocol = $this->library->tests()->for($skill);

        return $protocol === null ? null : new TestsAsked(
            table: $this->library->tests(),
            protocol: $protocol,
            last: TestsTaken::lastThatHolds($season->athlete_id, $skill->id, $protocol, $today),
        );
    }

    private function standing(Season $season, Placement $placement, Day $today, DoseShares $shares): Standing
    {
        // The dose of a rung goes on from that of the rung before it.
        $lately = $today->plus(-Carried::DAYS)->iso();
        $entered = substr($placement->entered_on, 0, 10);
        $sheets = Sheet::query()
            ->with('blocks')
            ->where('athlete_id', $season->athlete_id)
            ->where('ladder', $placement->ladder)
            ->whereNull('return_stage')
            ->where('state', 'finished')
            ->where('held_on', '>=', min($lately, $entered))
            ->orderByDesc('held_on')
            ->get();
        $judged = fn (Sheet $sheet): Collection => $sheet->blocks->where('judged', true)->where('reps', '>', 0);
        $done = DB::table('work_sets')->whereIn('block_id', $sheets->flatMap($judged)->pluck('id'))
            ->groupBy('block_id')->selectRaw('block_id, sum(reps) as reps')->pluck('reps', 'block_id');
        // A session without its own dose is no session on the rung.
        $worked = $sheets->filter(fn (Sheet $sheet): bool => $judged($sheet)->contains(
            fn (SheetBlock $block): bool => ($done[$block->id] ?? 0) > 0,
        ));
        $onRung = $worked->filter(fn (Sheet $sheet): bool => $sheet->rung === $placement->rung && $sheet->day()->iso() >= $entered);
        $heavy = $worked->first(fn (Sheet $sheet): bool => (
            $sheet->pace['emphasis'] ?? Emphasis::Heavy->value
        ) === Emphasis::Heavy->value);
        $block = $heavy === null ? null : $judged($heavy)->first(fn (SheetBlock $each): bool => ($done[$each->id] ?? 0) > 0);

        return new Standing(
            rung: $placement->rung,
            sessions: $onRung->count(),
            reached: $block === null ? null : Pace::at((int) $done[$block->id], (float) $block->effort, $block->distance_m),
            shares: $shares,
            rate: $this->climbed->rate($season->athlete_id, $season->squad, $today),
        );
    }

    private function wayBack(AthleteDay $day, string $ladder, string $skill): ?SeasonReturn
    {
        $return = $day->returns->open($day->athlete->id, $ladder);
        if ($return === null) {
            return null;
        }
        $programme = $return->programmeAsOpened();

        return new SeasonReturn(
            programme: $programme,
            stage: $return->stage,
            attempts: $day->returns->attempts($return),
            clearances: ReturnsUnderWay::clearances($return, $day->on),
            accepted: $return->notBefore(),
            side: $return->workingSide($day->athlete),
            nothing: $this->library->objects()['nothing'],
            usualWeek: $return->usual_week,
        );
    }
}
