<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Devices\OutsideWork;
use Augendo\Core\Devices\SessionSpan;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\EffortCurve;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Skill;
use Augendo\Core\Load\WorkSet;
use PHPUnit\Framework\TestCase;

/** What devices saw: outside every session, inside one, and what a speed makes of the price of a repetition. */
final class OutsideWorkTest extends TestCase
{
    /** @var array<string, Skill> */
    private array $skills;

    protected function setUp(): void
    {
        $this->skills = (new Library(__DIR__.'/../../library'))->skills();
    }

    public function test_the_larger_number_is_the_load_at_full_effort_with_the_hardest_they_do(): void
    {
        $day = Day::of('2027-05-18');
        $known = [$this->skills['footwork'], $this->skills['pass'], $this->skills['pitch'], $this->skills['jump']];
        $set = OutsideWork::of([12, 40], [[$this->skills['overhand-throw'], 15]])->load($day, 'outside', $known);
        $this->assertInstanceOf(WorkSet::class, $set);
        $this->assertSame(['pitch', 25, null], [$set->skill->id, $set->reps, $set->effort]);
        $full = (new SetCost(new AthleteProfile(null)))->weight($set);
        $this->assertSame(1.0, $full, 'how hard it was is not known: it counts as full');
    }

    public function test_what_was_told_stands_against_it_as_far_as_the_arm_did_it(): void
    {
        $beyond = fn (array $seen, array $told): int => OutsideWork::of($seen, $told)->counted->beyond();
        $this->assertSame(0, $beyond([], []));
        $this->assertSame(38, $beyond([38], [[$this->skills['jump'], 60], [$this->skills['footwork'], 20]]), 'jumps are no throws');
        $this->assertSame(8, $beyond([38], [[$this->skills['float-serve'], 20], [$this->skills['pass'], 10]]));
        $this->assertSame(0, $beyond([38], [[$this->skills['float-serve'], 50]]), 'more was told than was seen');
        $this->assertSame(40, $beyond([38, 40], []), 'two counters see the same repetitions');
        $none = OutsideWork::of([10], [[$this->skills['float-serve'], 10]]);
        $this->assertNull($none->load(Day::of('2027-05-18'), 'outside', array_values($this->skills)));
    }

    public function test_which_is_hardest_does_not_depend_on_the_order_they_come_in(): void
    {
        $all = array_values($this->skills);
        $of = fn (array $skills): ?string => OutsideWork::of([3], [])->load(Day::of('2027-05-18'), 'outside', $skills)?->skill->id;
        $first = $of($all);
        mt_srand(7);
        for ($i = 0; $i < 20; $i++) {
            shuffle($all);
            $this->assertSame($first, $of($all));
        }
    }

    public function test_a_reading_at_the_edge_of_a_session_is_of_it_and_one_second_further_is_not(): void
    {
        $span = SessionSpan::of(1_000_000.0, 60, [1_000_100.0, 1_003_000.0], []);
        $this->assertTrue($span->holds(1_000_100.0 - SessionSpan::AROUND_S));
        $this->assertTrue($span->holds(1_003_000.0 + SessionSpan::AROUND_S));
        $this->assertFalse($span->holds(1_000_099.0 - SessionSpan::AROUND_S));
        $this->assertFalse($span->holds(1_003_001.0 + SessionSpan::AROUND_S));
    }

    public function test_a_measured_speed_raises_a_price_and_never_lowers_it_whatever_was_felt(): void
    {
        $profile = new AthleteProfile(null, referenceSpeedMs: ['float-serve' => 20.0]);
        [$usual, $felt] = [new SetCost($profile), new SetCost($profile, EffortCurve::Perceived)];
        mt_srand(11);
        for ($i = 0; $i < 400; $i++) {
            $effort = mt_rand(0, 20) / 20;
            $speed = mt_rand(0, 3) === 0 ? null : mt_rand(1, 260) / 10;
            $set = new WorkSet(
                Day::of('2027-05-18'), 's', $this->skills['float-serve'], mt_rand(1, 9), $effort,
                $this->skills['float-serve']->ordinaryImplement(), speedMs: $speed,
            );
            $this->assertGreaterThanOrEqual($felt->weight($set), $usual->weight($set));
            $this->assertLessThanOrEqual(1.0, $usual->weight($set));
            if ($speed === null) {
                $this->assertSame($felt->weight($set), $usual->weight($set), 'without a speed as it was felt');
            }
        }
    }

    public function test_what_a_fastest_throw_carries_says_what_is_no_easy_throw_and_prices_nothing(): void
    {
        $throw = $this->skills['overhand-throw'];
        $known = new SetCost(new AthleteProfile(null, carriesM: ['overhand-throw' => ['match-ball' => 25.0]]));
        $this->assertSame(25.0, $known->reachM($throw, 'match-ball'));
        $this->assertNull($known->reachM($throw, 'discus'), 'another object');
        $this->assertNull($known->reachM($this->skills['float-serve'], 'match-ball'), 'a serve asks for no distance');
        $this->assertTrue($known->isCalledTooEasy($throw, 'match-ball', 0.5, 20.0));
        $this->assertFalse($known->isCalledTooEasy($throw, 'match-ball', 0.75, 20.0));
        $this->assertSame(17.5, $known->furthestM($throw, 'match-ball', 0.5));
        $far = new WorkSet(Day::of('2027-05-18'), 's', $throw, 1, 0.25, $throw->ordinaryImplement(), distanceM: 24.0);
        $this->assertSame(0.45, $known->weight($far), 'the load keeps its own longest throw');
        $thrown = new SetCost(new AthleteProfile(null, ['overhand-throw' => 30.0], carriesM: ['overhand-throw' => ['match-ball' => 25.0]]));
        $this->assertSame(30.0, $thrown->reachM($throw, 'match-ball'), 'a longest throw is the better witness');
    }
}
