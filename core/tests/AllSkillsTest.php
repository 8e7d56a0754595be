<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitFilter;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\AllSkills;
use Augendo\Core\Planning\AthleteAhead;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\LeadDays;
use Augendo\Core\Planning\MatchDose;
use Augendo\Core\Planning\MatchEvent;
use Augendo\Core\Planning\Rhythm;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SeasonPlan;
use Augendo\Core\Planning\Sharing;
use Augendo\Core\Planning\SkillAsk;
use Augendo\Core\Planning\SkillPlan;
use Augendo\Core\Planning\SkillsPlan;
use Augendo\Core\Planning\Standing;
use Augendo\Core\Planning\Together;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use PHPUnit\Framework\TestCase;

final class AllSkillsTest extends TestCase
{
    /** A Monday. */
    private const FROM = '2027-03-15';

    private const WEEKS = 8;

    private const SERVE = 'volleyball-float-serve';

    private const HANDBALL = 'handball-standing-throw';

    private const JAVELIN = 'javelin-throw';

    private const JUMPS = 'jump-landing';

    private Library $library;

    private AthleteProfile $profile;

    private Readiness $calm;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
        $from = Day::of(self::FROM);
        $this->profile = new AthleteProfile($from->plus(-366 * 22));
        $nothingSore = new SorenessReport(Instant::of(self::FROM.'T08:00:00Z'), Moment::Morning, Site::None, null, Kind::Muscle, 0);
        $this->calm = Readiness::on($from, 22, [$nothingSore], []);
    }

    public function test_heavy_days_of_two_skills_on_one_arm_lie_the_rest_of_the_arm_apart_and_each_has_one_a_week(): void
    {
        $plan = $this->plan([$this->skill(self::SERVE), $this->skill(self::HANDBALL)]);
        [$serve, $handball] = array_map($this->heavy(...), $plan->skills);
        $this->assertGreaterThanOrEqual(self::WEEKS - 4, count($serve));
        $this->assertGreaterThanOrEqual(self::WEEKS - 4, count($handball));
        foreach ($serve as $day) {
            foreach ($handball as $other) {
                $this->assertGreaterThanOrEqual(Rhythm::HEAVY_APART_DAYS, abs($day - $other));
            }
        }
        $this->assertSame($plan->skills[0]->plan->lightWeeks, $plan->skills[1]->plan->lightWeeks);
        $this->assertNotSame([], $plan->skills[0]->plan->lightWeeks);
    }

    public function test_jumps_and_throws_are_heavy_on_different_days_without_waiting_for_each_other(): void
    {
        $plan = $this->plan([$this->skill(self::SERVE), $this->skill(self::JUMPS)]);
        [$serve, $jumps] = array_map($this->heavy(...), $plan->skills);
        $this->assertSame([], array_intersect($serve, $jumps));
        $this->assertGreaterThan(2 * (self::WEEKS - 4), count($serve) + count($jumps));
    }

    public function test_where_a_week_does_not_hold_a_heavy_day_for_each_two_take_turns(): void
    {
        $plan = $this->plan([$this->skill(self::SERVE), $this->skill(self::HANDBALL), $this->skill(self::JAVELIN)]);
        $heavy = array_merge(...array_map($this->heavy(...), $plan->skills));
        sort($heavy);
        foreach (array_slice($heavy, 1) as $i => $day) {
            $this->assertGreaterThanOrEqual(Rhythm::HEAVY_APART_DAYS, $day - $heavy[$i]);
        }
        foreach ($plan->skills as $skill) {
            $this->assertGreaterThanOrEqual(2, count($this->heavy($skill)));
        }
    }

    public function test_no_hard_limit_is_over_when_all_skills_and_a_match_are_put_on_one_record(): void
    {
        $match = new MatchEvent('m', Day::of('2027-04-03'), 'Match', [new MatchDose($this->library->skills()['float-serve'], 40, 0.95)]);
        foreach ([Sharing::InOrder, Sharing::Evenly] as $sharing) {
            $limits = [...$this->library->ruleSet('starter')->limits, $this->week(70.0)];
            $plan = $this->plan([$this->skill(self::SERVE, [$match]), $this->skill(self::HANDBALL, [$match])], $sharing, $limits);
            $byDay = [];
            foreach ($plan->skills as $at => $skill) {
                foreach ($skill->plan->days as $day) {
                    // Every skill plans around the match; it is played once.
                    $sets = $day->match !== null && $at > 0 ? [] : $day->sets;
                    $byDay[$day->day->ordinal] = [...$byDay[$day->day->ordinal] ?? [], ...$sets];
                }
            }
            ksort($byDay);
            $record = $this->record();
            $calendar = (new LimitCalendar($limits, $this->profile))->hardOnly();
            foreach ($byDay as $day => $sets) {
                $over = $calendar->board(Day::fromOrdinal($day), $record)->hardTouchedBy($sets)->over($sets);
                $this->assertSame([], array_map(fn ($state): string => $state->limit->id, $over), Day::fromOrdinal($day)->iso());
                $record = $record->with($sets);
            }
        }
    }

    public function test_where_they_do_not_both_fit_the_later_gives_way_in_order_and_neither_wholly_when_shared_evenly(): void
    {
        $tight = [$this->week(36.0)];
        $both = [$this->skill(self::SERVE), $this->skill(self::HANDBALL)];
        $inOrder = $this->plan($both, Sharing::InOrder, $tight);
        $turned = $this->plan(array_reverse($both), Sharing::InOrder, $tight);
        $evenly = $this->plan($both, Sharing::Evenly, $tight);
        $this->assertGreaterThan($turned->skills[1]->share() + 0.2, $inOrder->skills[0]->share(), 'The serve, first and second.');
        $this->assertGreaterThan($inOrder->skills[1]->share() + 0.2, $turned->skills[0]->share(), 'Handball, first and second.');
        $least = fn (SkillsPlan $plan): float => min(array_map(fn (SkillPlan $skill): float => $skill->share(), $plan->skills));
        $this->assertGreaterThan($least($inOrder), $least($evenly));
        $this->assertSame(['Week'], array_keys($inOrder->skills[1]->heldBackBy()));
    }

    public function test_each_goes_on_from_its_own_work_and_not_from_the_others(): void
    {
        $served = $this->record(['float-serve' => 40]);
        $serve = $this->plan([$this->skill(self::SERVE), $this->skill(self::HANDBALL)], record: $served);
        $nothing = $this->plan([$this->skill(self::SERVE), $this->skill(self::HANDBALL)], record: $this->record([]));
        $first = fn (SkillsPlan $plan, int $skill): int => $plan->skills[$skill]->plan->days[0]->ownReps();
        $this->assertGreaterThan($first($nothing, 0), $first($serve, 0), 'Serves were carried.');
        $this->assertSame($nothing->skills[1]->plan->carried->unitsAWeek, $serve->skills[1]->plan->carried->unitsAWeek);
    }

    public function test_a_plan_that_was_kept_comes_again_and_the_best_of_few_ways_is_the_best_of_all(): void
    {
        $skills = [$this->skill(self::SERVE), $this->skill(self::HANDBALL)];
        $plan = $this->plan($skills);
        $led = array_map(
            fn (SkillPlan $skill): SkillAsk => new SkillAsk(
                $skill->skill->ask->with(['together' => new Together($skill->leads)]),
                $skill->skill->ladder,
                $skill->skill->standing,
                $skill->skill->first,
            ),
            $plan->skills,
        );
        $days = fn (SeasonPlan $of): array => array_map(
            fn (SeasonDay $day): array => [$day->day->iso(), $day->emphasis, $day->ownReps(), $day->cost('arm')],
            $of->days,
        );
        $kept = AllSkills::kept($led, Sharing::InOrder, $this->ahead());
        $this->assertSame(
            array_map(fn (SkillPlan $skill): array => $days($skill->plan), $plan->skills),
            array_map($days, $kept),
        );
        $best = AllSkills::exhaustive($skills, Sharing::InOrder, $this->ahead());
        $this->assertSame(SkillsPlan::worth($best->skills, Sharing::InOrder), SkillsPlan::worth($plan->skills, Sharing::InOrder));
        $this->assertSame($best->ways, $best->simulated);
    }

    public function test_every_training_day_leads_one_skill(): void
    {
        $alone = [[true, false], [false, true]];
        $one = [[true, true], [true, true]];
        // Monday and Thursday of either week.
        $this->assertSame([[1, 8], [4, 11]], LeadDays::ranked([[1, 4], [1, 4]], $one, Sharing::InOrder)[0]);
        $this->assertSame([[1, 8], [3, 10]], LeadDays::ranked([[1], [3]], $alone, Sharing::Evenly)[0]);
        // One day for two: they take turns.
        $this->assertSame([[2], [9]], LeadDays::ranked([[2], [2]], $one, Sharing::InOrder)[0]);
        // Many skills and many days are no longer all looked at, and every skill still leads days of its own.
        $many = LeadDays::ranked(array_fill(0, 4, range(1, 7)), array_fill(0, 4, array_fill(0, 4, true)), Sharing::Evenly)[0];
        $this->assertEqualsCanonicalizing(range(1, 14), array_merge(...$many));
        // One day for three: somebody is left without.
        $this->assertSame([], LeadDays::ranked([[2], [2], [2]], array_fill(0, 3, [true, true, true]), Sharing::InOrder));
    }

    public function test_before_anybody_has_chosen_two_rungs_up_are_asked_for_in_twelve_weeks_and_never_past_the_top(): void
    {
        $from = Day::of(self::FROM);
        $ladder = $this->library->ladder(self::SERVE);
        $ask = SeasonAsk::toStartWith($from, $ladder, $ladder->rungs[1]->id);
        $this->assertSame([$ladder->rungs[3]->id, 84], [$ask->goalRung, $ask->goalDay->daysSince($from)]);
        $top = $ladder->rungs[count($ladder->rungs) - 1]->id;
        $this->assertSame($top, SeasonAsk::toStartWith($from, $ladder, $top)->goalRung);
    }

    public function test_a_day_of_the_plan_holds_every_skill_in_the_coachs_order(): void
    {
        $plan = $this->plan([$this->skill(self::SERVE), $this->skill(self::JUMPS)]);
        $byDay = $plan->byDay();
        $this->assertSame([0, 1], array_keys($byDay[Day::of(self::FROM)->ordinal]));
        $this->assertArrayNotHasKey(Day::of(self::FROM)->plus(1)->ordinal, $byDay);
        $this->assertFalse($plan->isUndivided());
        $this->assertFalse($this->plan([$this->skill(self::SERVE)])->isUndivided(), 'One skill shares with nobody.');
    }

    public function test_a_session_that_was_moved_keeps_what_its_own_day_leads(): void
    {
        $monday = Day::of(self::FROM)->ordinal;
        $ask = (new SeasonAsk(Day::of(self::FROM), Day::of(self::FROM)->plus(20), [1, 3], null, moves: [$monday => $monday + 1]))
            ->with(['together' => new Together([Together::dayOfFortnight($monday)])]);
        $this->assertTrue($ask->mayLead($monday + 1));
        $this->assertFalse($ask->mayLead($monday + 2));
        $this->assertFalse($ask->mayLead($monday + 7), 'Every other Monday only.');
        $this->assertTrue($ask->mayLead($monday + 14));
    }

    /** @param  list<MatchEvent>  $matches */
    private function skill(string $id, array $matches = []): SkillAsk
    {
        $from = Day::of(self::FROM);
        $ladder = $this->library->ladder($id)->forAthlete($this->profile, $from, $this->library->doses());

        return new SkillAsk(
            ask: new SeasonAsk($from, $from->plus(7 * self::WEEKS - 1), [1, 3, 5], $ladder->rungs[3]->id, $matches),
            ladder: $ladder,
            standing: new Standing($ladder->rungs[1]->id, shares: $this->library->doses()->at(22)),
            first: $this->calm,
        );
    }

    /**
     * @param  non-empty-list<SkillAsk>  $skills
     * @param  list<Limit>|null  $limits
     */
    private function plan(
        array $skills, Sharing $sharing = Sharing::InOrder, ?array $limits = null, ?LoadRecord $record = null,
    ): SkillsPlan {
        return AllSkills::plan($skills, $sharing, $this->ahead($limits, $record));
    }

    /** @param  list<Limit>|null  $limits */
    private function ahead(?array $limits = null, ?LoadRecord $record = null): AthleteAhead
    {
        return new AthleteAhead(
            price: new SetCost($this->profile),
            record: $record ?? $this->record(),
            limits: new LimitCalendar($limits ?? $this->library->ruleSet('starter')->limits, $this->profile),
            throwing: Handedness::Right,
            calm: $this->calm,
        );
    }

    /** @param  array<string, int>  $reps  of a day, three days a week, by skill */
    private function record(array $reps = ['float-serve' => 20, 'handball-standing-throw' => 15]): LoadRecord
    {
        $price = new SetCost($this->profile);
        $sets = [];
        foreach ($reps as $skill => $of) {
            for ($back = 1; $back <= 42; $back++) {
                if (in_array($back % 7, [2, 4, 6], true)) {
                    $day = Day::of(self::FROM)->plus(-$back);
                    $known = $this->library->skills()[$skill];
                    $sets[] = $price->of(new WorkSet($day, "{$skill} {$back}", $known, $of, 0.7, $known->ordinaryImplement()));
                }
            }
        }

        return new LoadRecord($sets);
    }

    private function week(float $max): Limit
    {
        return new CapLimit(new LimitTerms('week', 'Week', 'test', Severity::Hard, null, new LimitFilter), Measure::Arm, 7, $max);
    }

    /** @return list<int> ordinals */
    private function heavy(SkillPlan $skill): array
    {
        $heavy = array_filter($skill->plan->days, fn (SeasonDay $day): bool => $day->emphasis === Emphasis::Heavy);

        return array_values(array_map(fn (SeasonDay $day): int => $day->day->ordinal, $heavy));
    }
}
