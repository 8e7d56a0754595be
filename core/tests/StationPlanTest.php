<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\Evaluator;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\SessionClock;
use Augendo\Core\Stations\Attendee;
use Augendo\Core\Stations\Hour;
use Augendo\Core\Stations\LeftOut;
use Augendo\Core\Stations\Pairs;
use Augendo\Core\Stations\Piece;
use Augendo\Core\Stations\Place;
use Augendo\Core\Stations\Placed;
use Augendo\Core\Stations\Space;
use Augendo\Core\Stations\StationFlag;
use Augendo\Core\Stations\StationPlan;
use Augendo\Core\Stations\Task;
use Augendo\Core\Stations\UsualHour;
use Augendo\Core\Stations\WhatWouldHelp;
use Augendo\Core\Stations\WhyOut;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StationPlanTest extends TestCase
{
    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    public function test_what_must_hold_holds_for_drawn_squads_and_a_quarter_more_work_is_placed_than_by_the_simple_way(): void
    {
        $squads = new StationSquads(20261127);
        $mine = $simple = $short = 0;
        for ($i = 0; $i < 120; $i++) {
            $case = $squads->draw();
            $answer = Evaluator::answer((string) json_encode($case));
            $this->assertArrayHasKey('rounds', $answer, (string) json_encode($answer));
            $this->assertSame([], StationSquads::faults($case, $answer), "squad {$i}: ".json_encode($case));
            [$seconds, $runsOut] = StationSquads::simple($case);
            if ($runsOut) {
                $short++;
                $simple += $seconds;
                $mine += array_sum(StationSquads::seconds($case, $answer));
            }
        }
        $this->assertGreaterThan(50, $short, 'most hours are too short for their work');
        $this->assertGreaterThanOrEqual(1.25 * $simple, $mine);
    }

    /** @return iterable<string, array{string, mixed, string, string}> */
    public static function wrongCases(): iterable
    {
        yield 'two spaces of one id' => [
            'spaces', fn (array $case): array => [$case['spaces'][0], $case['spaces'][0]], 'out_of_range', '/spaces',
        ];
        yield 'no lane' => [
            'spaces', fn (array $case): array => [[...$case['spaces'][0], 'lanes' => 0]], 'out_of_range', '/spaces/0/lanes',
        ];
        yield 'rounds of nothing' => ['least_round_min', fn (): int => 0, 'out_of_range', '/least_round_min'];
        yield 'a warm-up at a place' => ['athletes', fn (array $case): array => [[
            'id' => 'a', 'may_catch' => true, 'work' => [[
                'skill' => 'x', 'kind' => 'warm_up', 'seconds' => 60, 'distance_m' => null, 'hard' => false, 'far' => false,
                'landing' => false, 'needs_adult' => false, 'balls' => 0,
            ]],
        ]], 'out_of_range', implode('/', ['', 'athletes', 0, 'work', 0, 'kind'])];
    }

    #[DataProvider('wrongCases')]
    public function test_a_wrong_case_is_refused_with_its_place(string $key, callable $wrong, string $code, string $path): void
    {
        $case = (new StationSquads(1))->draw();
        $answer = Evaluator::answer((string) json_encode([...$case, $key => $wrong($case)]));
        $this->assertSame([$code, $path], [$answer['error']['code'] ?? null, $answer['error']['path'] ?? null]);
    }

    public function test_work_keeps_its_order_and_longer_rounds_hold_several_pieces_of_one_skill(): void
    {
        $plan = StationPlan::make($this->hour([$this->servers(4)[0]], [$this->court(8)]));
        $this->assertCount(1, $plan->rounds, 'nobody changes over to stay where they are');
        $this->assertSame(range(0, count($plan->hour->attendees[0]->work) - 1), $plan->rounds[0]->places[0]->placed[0]->work);
        $this->assertSame([], $plan->leftOut);
        $this->assertLessThan(60, $plan->endsMin(), 'as long as its work and no longer');
        $this->assertContains('ends_early', $this->codes($plan));
    }

    public function test_a_far_implement_flies_in_a_sector_with_an_adult_and_nobody_catches_it(): void
    {
        $throwers = $this->squad('javelin-throw', 4, 4);
        $field = new Space('field', 60, 2, Surface::Soft, true);
        $plan = StationPlan::make($this->hour($throwers, [$field], ['minutes' => 90]));
        foreach ($plan->rounds as $round) {
            foreach ($round->places as $place) {
                $tasks = array_map(fn (Placed $placed): Task => $placed->task, $place->placed);
                $this->assertSame([], $place->skill === 'javelin' ? array_intersect(
                    array_map(fn (Task $task): string => $task->value, $tasks), ['catches', 'feeds'],
                ) : []);
                $this->assertTrue($place->adult || $place->skill !== 'javelin' || $this->kindsIn($plan, $place) === [BlockKind::Rehearsal]);
            }
        }
        $why = fn (StationPlan $of): array => array_values(array_unique(array_map(fn ($left): string => $left->why->value, $of->leftOut)));
        $noSector = StationPlan::make($this->hour($throwers, [new Space('field', 60, 2, Surface::Soft, false)], ['minutes' => 90]));
        $this->assertSame(['space'], $why($noSector));
        $flag = $this->flag($noSector, 'no_space');
        $this->assertNull($flag->there, 'a sector is what is missing');
        $short = StationPlan::make($this->hour($throwers, [new Space('field', 15, 2, Surface::Soft, true)], ['minutes' => 90]));
        $this->assertSame(15.0, $this->flag($short, 'no_space')->there);
        $this->assertGreaterThan(15.0, $this->flag($short, 'no_space')->wanted);
        $alone = StationPlan::make($this->hour($throwers, [$field], ['minutes' => 90, 'adults' => 0]));
        $this->assertContains('adult', $why($alone));
        $this->assertContains('no_adult', $this->codes($alone));
        $bare = StationPlan::make($this->hour($throwers, [$field], ['minutes' => 90, 'balls' => 0]));
        $this->assertContains('no_balls', $this->codes($bare));
    }

    public function test_who_may_not_catch_helps_nobody_and_the_others_help_in_turn(): void
    {
        $squad = $this->servers(6);
        $squad[0] = new Attendee('sore', false, $squad[0]->work);
        $plan = StationPlan::make($this->hour($squad, [$this->court(2)], ['minutes' => 90]));
        $helped = array_fill_keys(array_map(fn (Attendee $each): string => $each->id, $squad), 0);
        foreach ($plan->rounds as $round) {
            foreach ($round->places as $place) {
                foreach ($place->placed as $placed) {
                    $helped[$placed->id] += $placed->task === Task::Works ? 0 : $round->minutes;
                }
            }
        }
        $this->assertSame(0, $helped['sore']);
        $this->assertGreaterThan(0, array_sum($helped));
        unset($helped['sore']);
        $longest = max(array_map(fn ($round): int => $round->minutes, $plan->rounds));
        $this->assertLessThanOrEqual(2 * $longest, max($helped) - min($helped), 'shared out');
    }

    public function test_somebody_late_begins_no_sooner_than_they_are_ready(): void
    {
        $squad = $this->servers(3);
        $late = new Attendee('late', true, $squad[0]->work, 25);
        $plan = StationPlan::make($this->hour([...$squad, $late], [$this->court(8)]));
        $this->assertGreaterThan(0, $plan->placedSeconds($late));
        foreach ($plan->rounds as $round) {
            foreach ($round->places as $place) {
                $ids = array_map(fn (Placed $placed): string => $placed->id, $place->placed);
                $this->assertTrue($round->startMin >= 25 || ! in_array('late', $ids, true));
            }
        }
        $only = StationPlan::make($this->hour([$late], [$this->court(8)]));
        $this->assertSame(25, $only->rounds[0]->startMin);
    }

    public function test_nobody_lands_on_a_hard_floor_while_there_is_another(): void
    {
        $jumpers = $this->squad('block-jump-landing', 4, 2);
        $hard = new Space('hall', 20, 8, Surface::Hard, false);
        $soft = new Space('mats', 20, 1, Surface::Soft, false);
        $plan = StationPlan::make($this->hour($jumpers, [$hard, $soft]));
        foreach ($plan->rounds as $round) {
            foreach ($round->places as $place) {
                $this->assertTrue($place->space === 'mats' || $this->kindsIn($plan, $place) === [BlockKind::Rehearsal]);
            }
        }
        $this->assertNotContains('hard_floor', $this->codes($plan));
        $this->assertContains('hard_floor', $this->codes(StationPlan::make($this->hour($jumpers, [$hard]))));
        $this->assertContains('hard_floor', $this->codes(StationPlan::make($this->hour($jumpers, [new Space('s', 20, 8, null, false)]))));
    }

    /** @return iterable<array{list<Surface|null>, Surface|null}> */
    public static function floors(): iterable
    {
        yield [[Surface::Soft], Surface::Soft];
        yield [[Surface::Soft, Surface::Hard, null], Surface::Soft];
        yield [[Surface::Soft, Surface::Firm, Surface::Hard], Surface::Firm];
        yield [[Surface::Hard, null], null];
        yield [[Surface::Hard], Surface::Hard];
    }

    /** @param  non-empty-list<Surface|null>  $floors */
    #[DataProvider('floors')]
    public function test_of_the_floors_somebody_may_land_on_the_hardest_that_is_not_hard_counts(array $floors, ?Surface $landed): void
    {
        $this->assertSame($landed, Surface::landedOn($floors));
        $this->assertSame($landed, Surface::landedOn(array_reverse($floors)));
    }

    public function test_an_hour_too_short_says_the_smallest_change_that_would_help(): void
    {
        $narrow = StationPlan::make($this->hour($this->servers(8), [$this->court(1)], ['minutes' => 45]));
        $this->assertContains('time', $this->codes($narrow));
        $this->assertContains('little', $this->codes($narrow));
        $help = WhatWouldHelp::with($narrow);
        $this->assertNotNull($help);
        $this->assertSame(['lane', 1, 'court'], [$help->what, $help->more, $help->space]);
        $more = StationPlan::make($this->hour($this->servers(8), [$this->court(2)], ['minutes' => 45]));
        $this->assertSame($help->seconds, $more->seconds() - $narrow->seconds());
        $few = WhatWouldHelp::with(StationPlan::make($this->hour($this->servers(8), [$this->court(8)], ['minutes' => 45, 'balls' => 6])));
        $this->assertSame('balls', $few?->what);
        $brief = WhatWouldHelp::with(StationPlan::make($this->hour($this->servers(2), [$this->court(8)], ['minutes' => 20])));
        $this->assertSame('minutes', $brief?->what);
        $this->assertGreaterThan(0, $brief->more);
        $this->assertNull(WhatWouldHelp::with(StationPlan::make($this->hour($this->servers(2), [$this->court(8)]))));
    }

    public function test_no_adult_stands_idle_while_there_is_a_place_and_hard_throws_are_watched_first(): void
    {
        $squad = [...$this->servers(4), ...$this->squad('pitch', 4, 3, 'p')];
        $spaces = [$this->court(4), new Space('cage', 40, 4, Surface::Firm, false)];
        $plan = StationPlan::make($this->hour($squad, $spaces, ['adults' => 1]));
        foreach ($plan->rounds as $round) {
            $adults = array_filter($round->places, fn (Place $place): bool => $place->adult);
            $this->assertCount(1, $adults);
            $hard = array_filter($round->places, fn (Place $place): bool => $this->isHardIn($plan, $place));
            $this->assertTrue($hard === [] || $this->isHardIn($plan, array_values($adults)[0]));
        }
        $this->assertContains('one_way', $this->codes($plan));
        $this->assertContains('unwatched', $this->codes(StationPlan::make($this->hour($squad, $spaces, ['adults' => 0]))));
        $this->assertContains('idle_adult', $this->codes(StationPlan::make($this->hour($squad, $spaces, ['adults' => 3]))));
    }

    public function test_spaces_are_as_long_and_wide_as_the_work_and_the_room(): void
    {
        $squad = [...$this->servers(12), ...$this->squad('javelin-throw', 2, 4, 't')];
        [$serve, $field] = UsualHour::spaces($squad, Surface::Sprung, null, null);
        $this->assertSame(['float-serve', 8, false], [$serve->id, $serve->lanes, $serve->sector]);
        $this->assertSame(['javelin', 2, true], [$field->id, $field->lanes, $field->sector]);
        [$serve, $hall] = UsualHour::spaces($squad, Surface::Sprung, 12.0, 9.0);
        $this->assertCount(2, UsualHour::spaces($squad, null, null, null), 'other sides and rehearsal need no space of their own');
        $this->assertSame([1, 12.0, false], [$serve->lanes, $hall->lengthM, $hall->sector]);
        $this->assertSame([], UsualHour::spaces([], null, null, null));
    }

    public function test_two_of_one_hand_throw_to_each_other_and_nobody_stays_alone(): void
    {
        $member = fn (string $id, Handedness $hand, float $m): array => ['id' => $id, 'hand' => $hand, 'distance_m' => $m, 'level' => 0];
        [$left, $right] = [Handedness::Left, Handedness::Right];
        $this->assertSame(
            [['b', 'd'], ['c', 'a']],
            Pairs::of([$member('a', $right, 9), $member('b', $left, 5), $member('c', $right, 6), $member('d', $left, 8)]),
        );
        $this->assertSame([['a', 'b', 'c']], Pairs::of(array_map(fn (string $id): array => $member($id, $right, 1), ['a', 'b', 'c'])));
        $this->assertSame([['a']], Pairs::of([$member('a', $right, 1)]));
        $this->assertSame([], Pairs::of([]));
    }

    public function test_time_adds_up_from_repetitions_holds_and_rests(): void
    {
        $rung = $this->library->ladder('javelin-throw')->rungs[0];
        $hold = BlockPlan::asAsked($rung->blocks[1]);
        // Three sets of six held for three seconds, with thirty seconds between: the hold is no longer than a repetition.
        $this->assertSame(18 * 5 + 2 * 30, SessionClock::blockSeconds($hold));
        $this->assertSame(0, SessionClock::blockSeconds($hold->withReps(0)));
        $this->assertNull(Piece::of($hold->withReps(0)));
        $this->assertNull(Piece::of(BlockPlan::asAsked($rung->blocks[0])), 'everybody warms up where they stand');
        $this->assertSame(SessionClock::blockSeconds($hold), SessionClock::seconds([$hold]));
        $longest = SessionClock::longestMin([[], [$hold, $hold->withReps(0)]], BlockKind::Rehearsal);
        $this->assertSame(3, $longest, '150 s are 3 begun minutes');
        $this->assertSame(0, SessionClock::longestMin([[$hold]], BlockKind::CoolDown));
        $this->assertSame(
            2 * SessionClock::blockSeconds($hold) + 45,
            SessionClock::seconds([$hold, $hold]),
            'a change-over between two blocks',
        );
    }

    /** Whole plans as they are made now: whoever changes how one is made looks at each, and keeps it. */
    public function test_stations_are_planned_as_they_were(): void
    {
        $mixed = [...$this->squad('javelin-throw', 6, 4), ...$this->squad('block-jump-landing', 5, 2, 'j')];
        $plans = [
            '25 children, 90 min, 3 adults, 60 balls' => $this->hour($this->servers(25), [$this->court(8), $this->court(6, 'side')], [
                'minutes' => 90, 'adults' => 3, 'balls' => 60,
            ]),
            '7 children, 30 min, 8 balls' => $this->hour($this->servers(7), [$this->court(8)], ['minutes' => 30, 'balls' => 8]),
            'throwers and jumpers, 60 min' => $this->hour($mixed, [new Space('field', 40, 4, Surface::Soft, true), $this->court(3)]),
            'one child, 12 min, nobody grown up' => $this->hour($this->servers(1), [$this->court(2)], ['minutes' => 12, 'adults' => 0]),
        ];
        $lines = [];
        foreach ($plans as $name => $hour) {
            $plan = StationPlan::make($hour);
            $lines[] = "# {$name}";
            foreach ($plan->rounds as $round) {
                $lines[] = "{$round->startMin} to {$round->endMin()}";
                foreach ($round->places as $place) {
                    $lines[] = "  {$place->space}, {$place->skill}".($place->adult ? ', adult' : '').': '.implode(' ', array_map(
                        fn (Placed $placed): string => $placed->id.' '
                            .($placed->work === [] ? $placed->task->value : implode('+', $placed->work)),
                        $place->placed,
                    ));
                }
                $lines[] = '  off: '.implode(' ', $round->off);
            }
            $out = array_map(fn (LeftOut $left): string => "{$left->id}/{$left->work} {$left->why->value}", $plan->leftOut);
            $lines[] = 'left out: '.implode(' ', $out);
            $lines[] = 'useful: '.implode(' ', array_map(fn (float $share): string => (string) round(100 * $share), $plan->usefulShare()));
            foreach ($plan->flags as $flag) {
                $lines[] = trim("{$flag->code} {$flag->space} {$flag->skill}").' '.round($flag->there ?? -1, 2).' of '
                    .round($flag->wanted ?? -1, 2);
            }
        }
        KeptText::assertSame(__DIR__.'/plans/stations.txt', $lines);
    }

    public function test_without_anybody_there_is_nothing_to_plan(): void
    {
        $plan = StationPlan::make($this->hour([], [$this->court(2)]));
        $this->assertSame([[], [], ['nobody'], 9], [$plan->rounds, $plan->leftOut, $this->codes($plan), $plan->endsMin()]);
        $idle = StationPlan::make($this->hour([new Attendee('a', true, [])], [$this->court(2)]));
        $this->assertSame([[], ['a' => 0.0], []], [$idle->rounds, $idle->usefulShare(), $idle->flags]);
        $nowhere = StationPlan::make($this->hour($this->servers(1), []));
        $this->assertSame(WhyOut::Space, $nowhere->leftOut[0]->why);
    }

    public function test_nonsense_is_refused(): void
    {
        foreach ([
            fn () => new Space('s', 0.0, 1, null, false),
            fn () => new Space('s', 5.0, 0, null, false),
            fn () => $this->hour([], [], ['minutes' => -1]),
            fn () => $this->hour([...$this->servers(1), ...$this->servers(1)], []),
            fn () => $this->hour([], [])->attendee('nobody'),
            fn () => $this->hour([], [])->space('nowhere'),
            fn () => new Piece('s', BlockKind::Whole, 0, null, false, false, false, false, 0),
            fn () => new Piece('s', BlockKind::Whole, 1, -1.0, false, false, false, false, 0),
        ] as $wrong) {
            try {
                $wrong();
                $this->fail('It was taken.');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }

    /**
     * @param  list<Attendee>  $attendees
     * @param  list<Space>  $spaces
     * @param  array<string, int>  $with
     */
    private function hour(array $attendees, array $spaces, array $with = []): Hour
    {
        return new Hour(...[
            'minutes' => 60, 'adults' => 2, 'balls' => 30, 'warmUpMin' => 5, 'coolDownMin' => 4, 'changeOverMin' => 1, 'leastRoundMin' => 4,
            'spaces' => $spaces, 'attendees' => $attendees, ...$with,
        ]);
    }

    private function court(int $lanes, string $id = 'court'): Space
    {
        return new Space($id, 30, $lanes, Surface::Sprung, false);
    }

    /** @return list<Attendee> */
    private function servers(int $n): array
    {
        return array_map(fn (int $i): Attendee => $this->squad('volleyball-float-serve', $i, 3 + $i % 3)[$i - 1], range(1, $n));
    }

    /** @return list<Attendee> all on one rung, with its doses as asked */
    private function squad(string $ladder, int $n, int $rung, string $prefix = 'a'): array
    {
        $blocks = $this->library->ladder($ladder)->rungs[$rung]->blocks;
        $work = array_values(array_filter(array_map(fn ($block): ?Piece => Piece::of(BlockPlan::asAsked($block)), $blocks)));

        return array_map(fn (int $i): Attendee => new Attendee("{$prefix}{$i}", true, $work), range(1, $n));
    }

    /** @return list<string> */
    private function codes(StationPlan $plan): array
    {
        return array_map(fn (StationFlag $flag): string => $flag->code, $plan->flags);
    }

    private function flag(StationPlan $plan, string $code): StationFlag
    {
        return array_values(array_filter($plan->flags, fn (StationFlag $flag): bool => $flag->code === $code))[0];
    }

    /** @return list<BlockKind> */
    private function kindsIn(StationPlan $plan, Place $place): array
    {
        $kinds = array_map(fn (Piece $piece): string => $piece->kind->value, $place->pieces($plan->hour));

        return array_map(BlockKind::from(...), array_values(array_unique($kinds)));
    }

    private function isHardIn(StationPlan $plan, Place $place): bool
    {
        return array_filter($place->pieces($plan->hour), fn (Piece $piece): bool => $piece->hard) !== [];
    }
}
