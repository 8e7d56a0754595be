<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\DoseShares;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Carried;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\ExpectedRung;
use Augendo\Core\Planning\Heeded;
use Augendo\Core\Planning\LearningRate;
use Augendo\Core\Planning\MatchDose;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SeasonPlan;
use Augendo\Core\Planning\SeasonPlanner;
use Augendo\Core\Planning\SeasonProblem;
use Augendo\Core\Planning\SeasonReturn;
use Augendo\Core\Planning\Standing;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Returning\Attempt;
use Augendo\Core\Returning\StageClearance;
use PHPUnit\Framework\TestCase;

final class SeasonPlannerTest extends TestCase
{
    /** A Monday. */
    private const FROM = '2027-03-15';

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    public function test_the_match_keeps_its_work_and_the_days_before_give_way(): void
    {
        $match = new MatchEvent('m', Day::of('2027-03-20'), 'Match', [new MatchDose($this->library->skills()['float-serve'], 35, 0.95)]);
        // A week that cannot hold the sessions and the match.
        $week = [new CapLimit(new LimitTerms('week', 'Week', 'test', Severity::Hard, null, new LimitFilter), Measure::Arm, 7, 60.0)];
        $with = $this->plan([1, 2, 3, 4, 5], 6, matches: [$match], limits: $week);
        $without = $this->plan([1, 2, 3, 4, 5], 6, limits: $week);
        $day = $this->on($with, '2027-03-20');
        $this->assertSame(35, $day->matchReps, 'the whole match is kept free');
        $this->assertSame([], array_filter($with->problems, fn (SeasonProblem $problem): bool => $problem->code === 'match_trimmed'));
        $before = fn (SeasonPlan $plan): float => array_sum(
            array_map(
                fn (SeasonDay $day): float => $day->day->ordinal < Day::of('2027-03-20')->ordinal ? $day->cost('arm') : 0.0,
                $plan->days,
            ),
        );
        $this->assertLessThan($before($without), $before($with));
        $this->assertSame(Emphasis::BeforeMatch, $this->on($with, '2027-03-19')->emphasis);
    }

    public function test_a_match_beyond_what_the_day_allows_is_cut_and_says_by_what(): void
    {
        $plan = $this->plan(
            [2],
            6,
            matches: [
                new MatchEvent('m', Day::of('2027-03-20'), 'Match', [new MatchDose($this->library->skills()['float-serve'], 400, null)]),
            ],
        );
        $problem = $this->problem($plan, 'match_trimmed');
        $this->assertSame(400, $problem->of);
        $this->assertLessThan(400, $problem->fits);
        $this->assertNotSame([], $problem->limits);
        $this->assertSame($problem->fits, $this->on($plan, '2027-03-20')->matchReps);
    }

    public function test_heavy_days_lie_apart_and_every_fourth_week_at_the_latest_is_lighter_than_the_one_before_it(): void
    {
        $plan = $this->plan([1, 3, 5], 56, record: $this->weeks(8, 30));
        $byWeek = $units = [];
        foreach ($plan->days as $day) {
            $byWeek[$day->week][] = $day->emphasis;
            $units[$day->week] = ($units[$day->week] ?? 0.0) + $day->cost('arm');
        }
        $this->assertSame([Emphasis::Heavy, Emphasis::Light, Emphasis::Heavy], $byWeek[1]);
        $this->assertSame([2, 5], $plan->lightWeeks, 'eight weeks that do not end on a light one');
        foreach ($plan->lightWeeks as $week) {
            $this->assertSame([Emphasis::LightWeek], array_values(array_unique($byWeek[$week], SORT_REGULAR)));
            $this->assertEqualsWithDelta(0.75, $units[$week] / $units[$week - 1], 0.1, "week {$week} against the work before it");
        }
    }

    public function test_the_last_days_before_the_goal_keep_the_effort_and_bring_nothing_new(): void
    {
        $plan = $this->plan([1, 3, 5], 56, 'last', record: $this->weeks(8, 30));
        $this->assertSame('2027-05-01', $plan->taperFrom?->iso());
        $before = null;
        foreach ($plan->days as $day) {
            if ($plan->taperFrom->isAfter($day->day)) {
                $before = $day->emphasis === Emphasis::Heavy ? $day : $before;

                continue;
            }
            $this->assertSame(Emphasis::Taper, $day->emphasis);
            $this->assertSame($before?->rung?->id, $day->rung?->id);
            $this->assertSame([], $day->pace?->raised);
            $this->assertSame($before?->pace?->effort, $day->pace?->effort);
            $this->assertLessThan($before?->pace?->reps, $day->pace?->reps);
        }
    }

    public function test_doses_begin_at_what_the_last_weeks_carried(): void
    {
        $first = function (array $record, float $most): int {
            $plan = $this->plan([1, 3, 5], 28, record: $record, shares: new DoseShares(1.0, 0.8, $most));
            $heavy = array_filter($plan->days, fn (SeasonDay $day): bool => $day->emphasis === Emphasis::Heavy);

            return array_values($heavy)[0]->pace->reps ?? 0;
        };
        $this->assertSame(24, $first([], 3.0), 'idle days take their share off the whole dose');
        $this->assertSame(19, $first($this->weeks(8, 8), 3.0), 'little: four fifths of the rung');
        $this->assertSame(72, $first($this->weeks(8, 120), 3.0), 'much: as much as is done at that age');
        $this->assertSame(24, $first($this->weeks(8, 120), 1.0));
    }

    public function test_until_the_coach_moves_on_a_day_holds_the_dose_of_the_rung_that_is_stood_on(): void
    {
        $record = $this->weeks(8, 30);
        $plan = $this->plan([1, 3, 5], 56, 'last', record: $record);
        $first = $plan->days[0]->rung?->id;
        $reached = null;
        $above = 0;
        foreach ($plan->days as $day) {
            if ($day->rung?->id === $first) {
                $this->assertSame($day->pace, $day->held);
                $reached = $day->emphasis === Emphasis::Heavy ? $day->held : $reached;

                continue;
            }
            $above++;
            $this->assertNotNull($reached);
            $this->assertSame((int) floor($reached->reps * $day->emphasis?->share()), $day->held?->reps);
            $this->assertLessThanOrEqual($reached->effort, $day->held?->effort, 'no harder than was reached');
        }
        $this->assertGreaterThan(10, $above);
        foreach ($this->plan([1, 3, 5], 56, 'last', record: $record, heeded: new Heeded(reps: 9))->days as $day) {
            $this->assertLessThanOrEqual(9, $day->held->reps ?? 0, 'within what the coach took');
        }
    }

    public function test_what_the_coach_took_of_the_record_holds_on_every_day(): void
    {
        $record = $this->weeks(8, 30);
        $of = fn (Heeded $heeded): SeasonPlan => $this->plan([1, 3, 5], 56, 'last', record: $record, heeded: $heeded);
        [$plain, $held, $easier] = [$of(new Heeded), $of(new Heeded(units: 14.0, reps: 15)), $of(new Heeded(effortLess: 0.2))];
        $most = fn (SeasonPlan $plan, callable $of): float => max(array_map($of, $plan->days));
        $units = fn (SeasonDay $day): float => Carried::units($day->sets, Channel::Arm, Side::Dominant);
        $reps = fn (SeasonDay $day): int => $day->pace->reps ?? 0;
        $effort = fn (SeasonDay $day): float => $day->pace->effort ?? 0.0;
        $this->assertGreaterThan(18.0, $most($plain, $units));
        $this->assertLessThanOrEqual(14.0 + 1e-9, $most($held, $units));
        $this->assertLessThanOrEqual(15, $most($held, $reps));
        $this->assertLessThan($most($plain, $effort) - 0.1, $most($easier, $effort));
    }

    public function test_a_rung_is_begun_when_its_gate_could_be_met_at_the_rate_the_athlete_learns(): void
    {
        $of = fn (?LearningRate $rate): SeasonPlan => $this->plan([1, 3, 5], 84, 'last', record: $this->weeks(8, 30), rate: $rate);
        [$quick, $slow] = [$of(LearningRate::of([1.0, 1.0, 1.0, 1.0], [])), $of(LearningRate::of(array_fill(0, 12, 6.0), []))];
        $likely = fn (SeasonPlan $plan): array => array_map(fn (ExpectedRung $each): ?string => $each->likely?->iso(), $plan->expected);
        $this->assertCount(5, $quick->expected);
        foreach ($likely($quick) as $i => $day) {
            $this->assertLessThan($likely($slow)[$i] ?? '9', $day, "rung {$i}");
        }
        foreach ([...$quick->expected, ...$slow->expected] as $each) {
            if ($each->likely !== null) {
                $this->assertFalse($each->early?->isAfter($each->likely));
                $this->assertTrue($each->late === null || ! $each->likely->isAfter($each->late));
            }
        }
        $this->assertFalse($this->has($quick, 'too_near'));
        $this->assertTrue($this->has($slow, 'too_near'));
    }

    public function test_a_goal_too_near_says_when_it_can_be_reached_and_plans_as_far_as_it_goes(): void
    {
        $plan = $this->plan([2, 4], 10, goalRung: 'last');
        $problem = $this->problem($plan, 'too_near');
        $this->assertNotNull($problem->day);
        $this->assertTrue($problem->day->isAfter($plan->ask->goalDay));
        $this->assertNotSame([], $plan->days);
        $later = $this->plan([2, 4], $problem->day->daysSince(Day::of(self::FROM)), goalRung: 'last');
        $this->assertFalse($this->has($later, 'too_near'), 'for that day the goal is reached');
    }

    public function test_no_free_day_a_past_goal_a_limit_of_zero_and_five_minutes_each_get_the_nearest_plan(): void
    {
        $none = $this->plan([], 21);
        $this->problem($none, 'no_free_day');
        $this->assertSame([2, 4], $none->ask->weekdays);
        $this->assertNotSame([], $none->days);

        $past = $this->plan([2], -3);
        $this->problem($past, 'goal_past');
        $this->assertTrue($past->ask->goalDay->isAfter(Day::of(self::FROM)));

        $zero = $this->plan(
            [2, 4],
            14,
            limits: array_map(
                fn (Limit $limit): Limit => $limit->scaled(0.0),
                array_filter($this->library->ruleSet('starter')->limits, fn (Limit $limit): bool => $limit->kind() === 'cap'),
            ),
        );
        $this->assertNotSame([], $this->problem($zero, 'nothing_fits')->limits);
        $this->assertSame([], array_filter($zero->days, fn (SeasonDay $day): bool => $day->cost('arm') > 0.0));

        $short = $this->plan([2, 4], 14, minutes: 5);
        foreach ($short->days as $day) {
            $this->assertNotSame(
                [],
                array_filter($day->built->trims ?? [], fn ($trim): bool => $trim->cause === 'minutes' && $trim->what === 'minutes'),
            );
        }

        $this->expectException(InvalidValue::class);
        new SeasonAsk(Day::of(self::FROM), Day::of(self::FROM), [8], null);
    }

    public function test_sessions_without_their_own_dose_are_none_on_the_rung(): void
    {
        $little = [new CapLimit(new LimitTerms('day', 'Day', 'test', Severity::Hard, null, new LimitFilter), Measure::Arm, 1, 1.0)];
        $plan = $this->plan([1, 3, 5], 63, 'last', limits: $little);
        $this->assertGreaterThan(20, count($plan->days));
        foreach ($plan->days as $day) {
            $this->assertFalse($day->built?->hasOwnDose(), $day->day->iso());
        }
        $this->assertCount(1, array_unique(array_map(fn (SeasonDay $day): ?string => $day->rung?->id, $plan->days)), 'nobody moves on');
        $this->assertSame('too_near', $plan->problems[0]->code);
    }

    public function test_a_missed_week_is_not_made_up(): void
    {
        $trained = $this->weeks(6, 30);
        $week = Day::of(self::FROM)->ordinal - 7;
        $missed = array_values(array_filter($trained, fn (CostedSet $set): bool => $set->day < $week));
        $most = fn (SeasonPlan $plan): float => max(array_map(fn (SeasonDay $day): float => $day->cost('arm'), $plan->days));
        $this->assertLessThanOrEqual(
            $most($this->plan([1, 3, 5], 20, record: $trained)) + 1e-9,
            $most($this->plan([1, 3, 5], 20, record: $missed)),
        );
        // Fourteen days without work: the first session is the dose less a fifth.
        $idle = array_values(array_filter($trained, fn (CostedSet $set): bool => $set->day < $week - 5));
        $this->assertNotSame(
            [],
            array_filter(
                $this->plan([1, 3, 5], 20, record: $idle)->days[0]->built->trims ?? [],
                fn ($trim): bool => $trim->cause === 'layoff',
            ),
        );
    }

    public function test_a_session_is_moved_and_a_day_is_taken_off(): void
    {
        $on = fn (string $iso): int => Day::of($iso)->ordinal;
        $ask = new SeasonAsk(
            Day::of(self::FROM),
            Day::of('2027-03-28'),
            [2, 4],
            null,
            moves: [$on('2027-03-16') => $on('2027-03-17')],
            off: [$on('2027-03-25')],
        );
        $this->assertSame(
            ['2027-03-17', '2027-03-18', '2027-03-23'],
            array_map(fn (int $day): string => Day::fromOrdinal($day)->iso(), $ask->trainingDays()),
        );
        foreach (['2027-03-15' => 1, '2027-03-21' => 7, '1970-01-01' => 4, '1969-12-31' => 3] as $iso => $weekday) {
            $this->assertSame($weekday, SeasonAsk::weekday(Day::of($iso)->ordinal));
        }
    }

    public function test_the_stages_of_a_return_come_first_then_the_ladder_with_the_weeks_after_as_a_limit(): void
    {
        $return = fn (array $attempts, array $clearances): SeasonReturn => new SeasonReturn(
            $this->library->programme('serves-effort-first'), 0, $attempts, $clearances, null, Side::Dominant,
            $this->library->objects()['nothing'], 300.0,
        );
        $plan = $this->plan([1, 3, 5], 84, goalRung: 'last', return: $return([], []));
        $stages = array_values(
            array_filter(array_map(fn (SeasonDay $day): ?int => $day->stage, $plan->days), fn (?int $stage): bool => $stage !== null),
        );
        $this->assertSame(
            range(0, count($this->library->programme('serves-effort-first')->stages) - 1),
            array_values(array_unique($stages)),
            'every stage once, in order',
        );
        $this->assertNotNull($plan->returnDone);
        $this->assertTrue($plan->days[0]->clearance, 'the first stage waits for a clearance that is not there');
        $after = array_values(array_filter($plan->days, fn (SeasonDay $day): bool => $day->day->isAfter($plan->returnDone)));
        $this->assertNotSame([], $after);
        $this->assertSame([], array_filter($after, fn (SeasonDay $day): bool => $day->stage !== null));
        $starts = [];
        foreach ($plan->days as $day) {
            if ($day->stage !== null) {
                $starts[] = $day->day->ordinal;
            }
        }
        foreach (array_slice($starts, 1) as $i => $day) {
            $this->assertGreaterThanOrEqual(2, $day - $starts[$i], 'a day between two attempts');
        }

        $stopped = $this->plan(
            [1, 3, 5],
            28,
            return: $return(
                [new Attempt(Day::of('2027-03-10'), 0, true, 6, false, 2, false)],
                [new StageClearance(Day::of('2027-03-01'), null)],
            ),
        );
        $this->problem($stopped, 'stopped');
        $this->assertSame(
            [],
            array_filter($stopped->days, fn (SeasonDay $day): bool => $day->cost('arm') > 0.0),
            'nothing is planned past a stop',
        );
    }

    /** Whole seasons as they are planned now: whoever changes how one is planned looks at every day that changed, and keeps it. */
    public function test_seasons_are_planned_as_they_were(): void
    {
        $serves = $this->library->skills()['float-serve'];
        $match = fn (int $day, int $reps): MatchEvent => new MatchEvent(
            "m{$day}", Day::of(self::FROM)->plus($day), 'Match', [new MatchDose($serves, $reps, 0.95)],
        );
        $return = new SeasonReturn(
            $this->library->programme('serves-effort-first'), 0, [], [new StageClearance(Day::of('2027-03-01'), null)], null,
            Side::Dominant, $this->library->objects()['nothing'], 300.0,
        );
        $seasons = [
            'from nothing, three days a week, nine weeks' => $this->plan([1, 3, 5], 63),
            'after eight weeks of thirty serves, two days a week, to the last rung' => $this->plan(
                [2, 4], 84, 'last', record: $this->weeks(8, 30),
            ),
            'four days a week, two matches, one too large' => $this->plan(
                [1, 2, 4, 6], 42, 'last', [$match(12, 30), $match(33, 400)], $this->weeks(8, 40),
            ),
            'twenty-five minutes, two days a week' => $this->plan([2, 5], 35, minutes: 25, record: $this->weeks(6, 20)),
            'the way back first' => $this->plan([1, 3, 5], 84, 'last', return: $return),
        ];
        $lines = [];
        foreach ($seasons as $name => $plan) {
            $lines = [...$lines, "# {$name}", ...array_map($this->line(...), $plan->days)];
            $lines[] = "ends on {$plan->rungAtGoal}, goal {$plan->ask->goalDay->iso()}, back {$plan->returnDone?->iso()}";
            foreach ($plan->problems as $problem) {
                $limits = implode(', ', $problem->limits);
                $lines[] = trim("{$problem->code} {$problem->day?->iso()} {$problem->fits} of {$problem->of} {$limits}");
            }
        }
        KeptText::assertSame(__DIR__.'/plans/seasons.txt', $lines);
    }

    private function line(SeasonDay $day): string
    {
        $blocks = array_map(fn (BlockPlan $block): string => sprintf(
            '%s %d×%d@%g%s', $block->asked->kind->value, $block->sets, $block->reps, round($block->effort, 3),
            $block->distanceM === null ? '' : ' '.round($block->distanceM, 2).' m',
        ), $day->built->blocks ?? []);

        return sprintf(
            '%s week %d %s %s%s%s%s: %s | arm %.2f | %s', $day->day->iso(), $day->week, $day->emphasis?->value ?? 'match',
            $day->rung?->id ?? "{$day->matchReps} reps", $day->stage === null ? '' : " stage {$day->stage}",
            $day->clearance ? ' waits' : '',
            $day->pace === null ? '' : ' '.implode('+', $day->pace->raised), implode(', ', $blocks), $day->cost('arm'),
            $day->fullest === null ? 'no limit' : $day->fullest->limit->baseId().' '.round($day->fullest->share(), 3),
        );
    }

    /**
     * @param  list<int>  $weekdays
     * @param  list<MatchEvent>  $matches
     * @param  list<CostedSet>  $record
     * @param  array<Limit>|null  $limits
     * @param  string  $goalRung  `hold`, or `last`
     */
    private function plan(
        array $weekdays, int $days, string $goalRung = 'hold', array $matches = [], array $record = [],
        ?array $limits = null, ?int $minutes = null, ?SeasonReturn $return = null,
        DoseShares $shares = new DoseShares(1.0, 0.8, 1.0), ?LearningRate $rate = null,
        Heeded $heeded = new Heeded,
    ): SeasonPlan {
        $from = Day::of(self::FROM);
        $ladder = $this->library->ladder('volleyball-float-serve');
        $at = $return === null ? 2 : 4;
        $ask = new SeasonAsk(
            $from, $from->plus($days), $weekdays,
            $goalRung === 'last' ? $ladder->rungs[count($ladder->rungs) - 1]->id : null, $matches, minutes: $minutes, heeded: $heeded,
        );
        $profile = $this->profile();
        $calm = Readiness::on(
            $from,
            14,
            [new SorenessReport(Instant::of(self::FROM.'T08:00:00Z'), Moment::Morning, Site::None, null, Kind::Muscle, 0)],
            [],
        );
        $calendar = new LimitCalendar(
            array_values($limits ?? $this->library->ruleSet('starter')->limits),
            $profile,
            array_map(fn (MatchEvent $match): int => $match->day->ordinal, $matches),
            returning: $return !== null,
        );

        return SeasonPlanner::plan(
            $ask, $ladder, new Standing($ladder->rungs[$at]->id, shares: $shares, rate: $rate), new SetCost($profile),
            new LoadRecord($record), $calendar, Handedness::Right, $calm, $calm, $return,
        );
    }

    private function profile(): AthleteProfile
    {
        return new AthleteProfile(Day::of('2013-05-05'));
    }

    /** @return list<CostedSet> float serves every other day for so many weeks up to the first day */
    private function weeks(int $weeks, int $reps): array
    {
        $price = new SetCost($this->profile());
        $from = Day::of(self::FROM);

        return array_map(
            fn (int $back): CostedSet => $price->of(
                new WorkSet(
                    $from->plus(-$back), "w{$back}", $skill = $this->library->skills()['float-serve'], $reps, 0.7,
                    $skill->ordinaryImplement(),
                ),
            ),
            range(2, 7 * $weeks, 2),
        );
    }

    private function on(SeasonPlan $plan, string $iso): SeasonDay
    {
        foreach ($plan->days as $day) {
            if ($day->day->iso() === $iso) {
                return $day;
            }
        }
        $this->fail("Nothing is planned on {$iso}.");
    }

    private function has(SeasonPlan $plan, string $code): bool
    {
        return array_filter($plan->problems, fn (SeasonProblem $problem): bool => $problem->code === $code) !== [];
    }

    private function problem(SeasonPlan $plan, string $code): SeasonProblem
    {
        foreach ($plan->problems as $problem) {
            if ($problem->code === $code) {
                return $problem;
            }
        }
        $codes = array_map(fn (SeasonProblem $each): string => $each->code, $plan->problems);
        $this->fail("No problem “{$code}” among: ".implode(', ', $codes));
    }
}
