<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\BlockKind;
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
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\Allowed;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Layoff;
use Augendo\Core\Planning\OnLadder;
use Augendo\Core\Planning\OtherWork;
use Augendo\Core\Planning\SessionBuilder;
use Augendo\Core\Planning\SessionClock;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Planning\Trim;
use Augendo\Core\Planning\WorkSource;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Stations\Space;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is left when the work of the day is taken away, with the ladders and drills that ship. */
final class OtherWorkTest extends TestCase
{
    private const ON = '2027-03-15';

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(__DIR__.'/../../library');
    }

    public function test_a_sore_wrist_leaves_the_other_hand_and_a_ladder_without_it_in_the_order_of_a_session(): void
    {
        $work = $this->left([[Site::Wrist, 'right', Kind::Joint, 3]], others: ['jump-landing' => 'stick']);
        $this->assertSame(['other_side', 'cool_down'], $this->kinds($work->kept), 'of the serve: the other hand, easily');
        $this->assertSame(['warm_up', 'rehearsal', 'whole'], $this->kinds($work->out));
        $this->assertSame('jump-landing', $work->leads?->ladder->id);
        $this->assertContains('Stick', $this->titles($work));
        $kinds = array_map(fn (BlockKind $kind): string => $kind->value, BlockKind::cases());
        $places = array_map(fn (string $kind): int => (int) array_search($kind, $kinds, true), $this->kinds($work->added));
        $sorted = $places;
        sort($sorted);
        $this->assertSame($sorted, $places);
        $this->assertSame(['volleyball'], $work->objectsOut(), 'the light ball is in the other hand still');
    }

    #[TestWith([Site::Wrist, 'right', Kind::Joint, 6])]
    #[TestWith([Site::Finger, 'right', Kind::Skin, 7])]
    #[TestWith([Site::Shoulder, 'right', Kind::Muscle, 7])]
    #[TestWith([Site::Knee, 'left', Kind::Joint, 6])]
    #[TestWith([Site::Hip, null, Kind::Muscle, 7])]
    public function test_nothing_that_is_offered_loads_a_part_that_may_not_work_or_goes_over_a_limit(
        Site $site, ?string $side, Kind $kind, int $score,
    ): void {
        foreach ([[], [$this->cap(Measure::Arm, 3.0)], [$this->cap(Measure::Landings, 4.0)], [$this->cap(Measure::Reps, 5.0)]] as $limits) {
            foreach (['volleyball-float-serve' => 'line', 'javelin-throw' => 'standing', 'jump-landing' => 'stick'] as $own => $rung) {
                [$frame, $work] = $this->given(
                    [[$site, $site->hasSides() ? $side ?? 'right' : null, $kind, $score]], [$own => $rung],
                    ['javelin-throw' => 'standing', 'hand-pass' => null, 'jump-landing' => 'stick'], $limits,
                );
                $plans = [...$work->kept, ...$work->added];
                $this->assertSame([], $frame->broken($plans));
                foreach ($plans as $plan) {
                    $this->assertTrue($frame->wordFor($plan)->allowsWork(), "{$own}: {$plan->asked->title}");
                    $this->assertLessThanOrEqual($frame->effortCap($frame->wordFor($plan)) + 1e-9, $plan->effort);
                    $this->assertFalse($plan->isDropped(), 'nothing is offered of which nothing is left');
                }
                $this->assertSameSize($work->added, $work->sources);
                foreach ($work->trims as $trim) {
                    $this->assertNotNull($trim->title);
                    $this->assertTrue($trim->block === null || isset($work->added[$trim->block]));
                }
            }
        }
    }

    public function test_it_is_no_longer_than_the_session_would_have_been_and_filled_with_what_costs_no_limit(): void
    {
        $work = $this->left([[Site::Shoulder, 'right', Kind::Muscle, 7], [Site::Shoulder, 'left', Kind::Muscle, 7]]);
        $asked = array_map(BlockPlan::asAsked(...), $this->on('volleyball-float-serve', 'line')->rung->blocks);
        $most = (int) ceil(SessionClock::seconds($asked) / 60);
        $this->assertLessThanOrEqual($most, $work->minutes());
        $this->assertGreaterThan(0.6 * $most, $work->minutes(), 'nobody stands about');
        $this->assertNull($work->leads);
        foreach ($work->added as $plan) {
            $this->assertNotContains(Channel::Arm, $plan->asked->loadedChannels(), $plan->asked->title);
        }
        $this->assertSame('Warm-up without the arm', $work->added[0]->asked->title, 'the warm-up went with the arm: there is another');
        $drills = array_filter($work->sources, fn (WorkSource $source): bool => $source->from === 'drill');
        $this->assertGreaterThanOrEqual(3, count($drills));
    }

    public function test_the_other_side_is_priced_by_its_own_record_and_none_is_the_strictest(): void
    {
        // The rung of the jump asks nothing of the other side: its dose is mirrored, easily.
        [$frame, $work] = $this->given(
            [[Site::Shoulder, 'right', Kind::Muscle, 7]], ['handball-standing-throw' => null], [], idle: null,
        );
        $others = array_filter(
            [...$work->kept, ...$work->added],
            fn (BlockPlan $plan): bool => $plan->asked->side === Side::Other && $plan->asked->kind !== BlockKind::WarmUp,
        );
        $this->assertNotSame([], $others);
        foreach ($others as $plan) {
            $this->assertLessThanOrEqual(0.5, $plan->effort);
            $this->assertLessThanOrEqual(0.6 * $plan->asked->sets * $plan->asked->reps + 1e-9, $plan->reps, 'never worked: a long break');
        }
        $this->assertNull($frame->layoff->idleDays(Side::Other));
    }

    public function test_an_open_referral_leaves_what_loads_nothing_and_an_illness_leaves_nothing(): void
    {
        $work = $this->left([[Site::Knee, 'left', Kind::Swelling, 4]], others: ['jump-landing' => 'stick']);
        $plans = [...$work->kept, ...$work->added];
        $this->assertNotSame([], $plans);
        foreach ($plans as $plan) {
            $this->assertSame([], $plan->asked->loadedChannels(), $plan->asked->title);
        }
        $this->assertNull($work->leads);
    }

    public function test_a_way_back_keeps_its_parts_to_itself(): void
    {
        $work = $this->left([[Site::None, null, Kind::Muscle, 0]], resting: [Channel::Arm], others: ['jump-landing' => 'stick']);
        foreach ([...$work->kept, ...$work->added] as $plan) {
            $this->assertNotContains(Channel::Arm, $plan->asked->loadedChannels(), $plan->asked->title);
        }
        $this->assertSame('jump-landing', $work->leads?->ladder->id);
    }

    public function test_a_limit_that_is_full_swaps_the_work_too_and_what_was_done_is_counted(): void
    {
        [$frame, $work] = $this->given(
            [[Site::None, null, Kind::Muscle, 0]], ['volleyball-float-serve' => 'line'], ['jump-landing' => 'stick'],
            [$this->cap(Measure::Arm, 0.0), $this->cap(Measure::Landings, 6.0)],
        );
        $this->assertSame(['warm_up', 'rehearsal', 'whole', 'other_side'], $this->kinds($work->out));
        $landings = array_sum(array_map(
            fn (BlockPlan $plan): int => $plan->asked->skill->landingsPerRep > 0 ? $plan->reps : 0, $work->added,
        ));
        $this->assertGreaterThan(0, $landings);
        $this->assertLessThan(10, $landings, 'the part does not fit into what is left');
        $this->assertNotSame([], array_filter($work->trims, fn (Trim $trim): bool => $trim->cause === 'limit'));
        $this->assertSame([], $frame->broken([...$work->kept, ...$work->added]));
        $landed = array_filter($work->added, fn (BlockPlan $plan): bool => $plan->asked->skill->landingsPerRep > 0);
        $after = OtherWork::of(
            $frame, new Allowed($frame->readiness, Handedness::Right, []), [], $frame->sets(array_values($landed)),
            $this->on('volleyball-float-serve', 'line'), [$this->on('jump-landing', 'stick')], [],
        );
        $lands = fn (OtherWork $of): int => array_sum(array_map(
            fn (BlockPlan $plan): int => $plan->asked->skill->landingsPerRep > 0 ? $plan->reps : 0, $of->added,
        ));
        $this->assertLessThan($landings, $lands($after), 'what was done already is done');
    }

    #[TestWith([12.0, 'volleyball-float-serve'])]
    #[TestWith([4.0, 'jump-landing'])]
    public function test_what_no_space_holds_gives_way_to_another_skill_that_it_holds(float $lengthM, string $leads): void
    {
        $hall = new Space('hall', $lengthM, 2, Surface::Sprung, false);
        $others = ['discus' => null, 'volleyball-float-serve' => 'line', 'jump-landing' => 'stick'];
        [, $work] = $this->given([], ['javelin-throw' => 'five-step'], $others, spaces: [$hall]);
        $this->assertSame($leads, $work->leads?->ladder->id);
        foreach ($work->added as $plan) {
            $thrown = $plan->asked->object->massKg !== null && $plan->reps > 0;
            $this->assertFalse($thrown && $plan->asked->object->far, $plan->asked->title);
            $this->assertLessThanOrEqual($lengthM, $thrown ? (float) $plan->distanceM : 0.0, $plan->asked->title);
        }
        [, $outside] = $this->given([], ['javelin-throw' => 'five-step'], $others);
        $this->assertSame('discus', $outside->leads?->ladder->id, 'where nobody has said, everything is there');
    }

    public function test_it_is_due_when_nothing_judged_is_left(): void
    {
        $plans = array_map(BlockPlan::asAsked(...), $this->on('volleyball-float-serve', 'line')->rung->blocks);
        $due = fn (array $reports, array $plans): bool => OtherWork::isDue(
            $this->given($reports, ['volleyball-float-serve' => 'line'], [])[0]->readiness, Handedness::Right, $plans,
        );
        $well = [[Site::None, null, Kind::Muscle, 0]];
        $this->assertFalse($due($well, $plans));
        $this->assertTrue($due($well, array_map(fn (BlockPlan $plan): BlockPlan => $plan->withReps(0), $plans)));
        $this->assertTrue($due($well, []));
        $this->assertTrue($due([[Site::Wrist, 'right', Kind::Joint, 3]], $plans), 'doses of a coach, or of before it hurt');
        $this->assertFalse($due([[Site::Wrist, 'left', Kind::Joint, 3]], $plans), 'the other hand');
    }

    public function test_a_sore_place_is_asked_again_unless_it_was_told_just_now_and_a_referral_is_not(): void
    {
        $ask = fn (array $reports, string $told): array => array_map(
            fn (SorenessReport $report): string => $report->site->value,
            OtherWork::toAskAgain($this->given($reports, ['volleyball-float-serve' => 'line'], [])[0]->readiness, Instant::of($told)),
        );
        $sore = [[Site::Wrist, 'right', Kind::Joint, 3], [Site::Thigh, 'left', Kind::Muscle, 2]];
        $this->assertSame(['wrist'], $ask($sore, self::ON.'T08:01:00+01:00'), 'a little sore rules nothing out');
        $this->assertSame([], $ask($sore, self::ON.'T07:59:00+01:00'), 'told since');
        $this->assertSame([], $ask([[Site::Knee, 'left', Kind::Swelling, 4]], self::ON.'T09:00:00+01:00'));
    }

    public function test_every_drill_may_be_done_somewhere_and_what_is_scoring_or_strategy_loads_nothing(): void
    {
        foreach ($this->library->drills() as $drill) {
            if (in_array($drill->about->value, ['scoring', 'strategy'], true)) {
                $this->assertSame([], $drill->dose->loadedChannels(), $drill->id);
                $this->assertSame(0, $drill->dose->reps, $drill->id);
            }
            $this->assertFalse($drill->dose->judged);
            foreach ($drill->skills ?? [] as $skill) {
                $this->assertArrayHasKey($skill, $this->library->skills());
            }
            $this->assertSame(0.0, $drill->dose->skill->landingsPerRep, "{$drill->id} lands");
        }
    }

    /** @param  list<array{Site, string|null, Kind, int}>  $reports */
    private function left(array $reports, array $others = [], array $resting = []): OtherWork
    {
        return $this->given($reports, ['volleyball-float-serve' => 'line'], $others, resting: $resting)[1];
    }

    /**
     * @param  list<array{Site, string|null, Kind, int}>  $reports
     * @param  array<string, string|null>  $own  rung by ladder; null: the second one
     * @param  array<string, string|null>  $others
     * @param  list<Limit>  $limits
     * @param  list<Channel>  $resting
     * @param  list<Space>  $spaces
     * @return array{SessionFrame, OtherWork}
     */
    private function given(
        array $reports, array $own, array $others, array $limits = [], array $resting = [], ?int $idle = 2, array $spaces = [],
    ): array {
        $on = Day::of(self::ON);
        $at = $this->on((string) array_key_first($own), $own[array_key_first($own)]);
        $profile = new AthleteProfile($on->plus(-30 * 366));
        $price = new SetCost($profile);
        $frame = new SessionFrame(
            on: $on,
            session: 'session',
            price: $price,
            readiness: Readiness::on($on, 30, array_map(
                fn (array $each): SorenessReport => new SorenessReport(
                    Instant::of(self::ON.'T08:00:00+01:00'), Moment::Morning, $each[0], $each[1], $each[2], $each[3],
                ),
                $reports,
            ), []),
            record: new LoadRecord([]),
            limits: new LimitCalendar($limits, $profile),
            otherPlans: [],
            layoff: Layoff::days($idle),
            throwing: Handedness::Right,
        );
        $others = array_map($this->on(...), array_keys(array_diff_key($others, $own)), array_values(array_diff_key($others, $own)));
        $plans = SessionBuilder::build($frame, $at->inRoom($spaces)->rung)->blocks;
        $drills = array_values($this->library->drills());

        $allowed = new Allowed($frame->readiness, Handedness::Right, $resting);

        return [$frame, OtherWork::of($frame, $allowed, $plans, [], $at, $others, $drills, $spaces)];
    }

    private function on(string $ladder, ?string $rung): OnLadder
    {
        $of = $this->library->ladder($ladder)->onFloor(Surface::Sprung);

        return new OnLadder($of, $rung === null ? $of->rungs[1] : $of->rung($rung) ?? throw new \LogicException("no {$rung}"));
    }

    private function cap(Measure $measure, float $max): CapLimit
    {
        $terms = new LimitTerms("cap-{$measure->value}", 'Full', 'test', Severity::Hard, null, new LimitFilter);

        return new CapLimit($terms, $measure, 1, $max);
    }

    /**
     * @param  array<int, BlockPlan>  $plans
     * @return list<string>
     */
    private function kinds(array $plans): array
    {
        return array_values(array_map(fn (BlockPlan $plan): string => $plan->asked->kind->value, $plans));
    }

    /** @return list<string> */
    private function titles(OtherWork $work): array
    {
        return array_map(fn (BlockPlan $plan): string => $plan->asked->title, $work->added);
    }
}
