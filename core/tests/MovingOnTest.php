<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Gates\NextDose;
use Augendo\Core\Gates\Prerequisites;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\OwnLadders;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Planning\BlockPlan;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Whether the next dose fits, and whether what a ladder builds on is behind the athlete. */
final class MovingOnTest extends TestCase
{
    private const ON = '2027-05-10';

    private Library $library;

    private Rung $next;

    private SetCost $price;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
        $this->next = $this->library->ladder('overhand-throw')->rungs[1];
        $this->price = new SetCost(new AthleteProfile(null));
    }

    public function test_on_the_last_rung_nothing_is_left_to_fit(): void
    {
        $this->assertTrue(NextDose::fits(null, Day::of(self::ON), new LoadRecord([]), [], $this->arm(1, 0.0), $this->price));
    }

    public function test_a_dose_may_fill_a_limit_to_the_brim_and_no_further(): void
    {
        $dose = $this->doseOn(2);
        $this->assertGreaterThan(1.0, $dose);
        $this->assertTrue($this->fits($this->arm(1, $dose)));
        $this->assertFalse($this->fits($this->arm(1, $dose - 0.01)));
        $this->assertTrue($this->fits($this->arm(1, $dose - 0.01, Severity::Advise)), 'what is only advised stands in nobody’s way');
    }

    /** @param  list<int>  $planned  days after this one on which something is planned */
    #[TestWith([[], 2])]
    #[TestWith([[0], 2])]
    #[TestWith([[5, 3, 9], 3])]
    #[TestWith([[0, 1], 1])]
    public function test_it_is_held_against_the_next_planned_day_or_the_day_after_tomorrow(array $planned, int $heldAgainst): void
    {
        $plans = array_map(fn (int $after): CostedSet => $this->setOn($after, 1), $planned);
        for ($after = 1; $after <= 9; $after++) {
            $busy = new LoadRecord([$this->setOn($after, 1)]);
            $fits = $this->fits($this->arm(1, $this->doseOn($after)), $busy, $plans);
            $this->assertSame($after !== $heldAgainst, $fits, "something stands {$after} days on");
        }
    }

    public function test_what_is_left_of_today_counts_and_what_was_planned_for_then_makes_room(): void
    {
        $limits = $this->arm(3, $this->doseOn(2));
        $this->assertTrue($this->fits($limits, plans: [$this->setOn(2, 50)]), 'in place of what is planned there');
        $this->assertFalse($this->fits($limits, plans: [$this->setOn(0, 1), $this->setOn(2, 50)]), 'today comes before');
        $this->assertFalse($this->fits($limits, new LoadRecord([$this->setOn(0, 1)])), 'so does what was done');
        $this->assertTrue($this->fits($limits, new LoadRecord([$this->setOn(-1, 1)])), 'outside the three days');
    }

    public function test_a_ladder_that_builds_on_nothing_is_open(): void
    {
        $this->assertTrue(Prerequisites::held($this->library->ladder('overhand-throw'), [], $this->library));
    }

    /** The pitch builds on the overhand throw beyond “catch”. */
    public function test_what_a_ladder_builds_on_is_held_when_its_rung_is_behind_and_unknown_without_a_place(): void
    {
        $pitch = $this->library->ladder('pitch');
        [[$needed, $rung]] = $pitch->needs;
        $throw = $this->library->ladder($needed);
        $at = $throw->position($rung);
        $this->assertNotNull($at);
        $held = fn (array ...$places): ?bool => Prerequisites::held($pitch, array_values($places), $this->library);
        $this->assertNull($held());
        $this->assertNull($held(['racket-serve', $this->library->ladder('racket-serve')->rungs[2]->id]), 'another ladder says nothing');
        $this->assertFalse($held([$needed, $throw->rungs[$at - 1]->id]));
        $this->assertFalse($held([$needed, $rung]), 'on it is not beyond it');
        $this->assertTrue($held([$needed, $throw->rungs[$at + 1]->id]));
        $this->assertTrue($held([$needed, $throw->rungs[0]->id], [$needed, $throw->rungs[$at + 1]->id]), 'the highest place counts');
        $this->assertFalse($held([$needed, 'a rung that was taken out']));
    }

    public function test_a_copy_counts_for_what_it_is_a_copy_of_unless_the_rung_was_taken_out_of_it(): void
    {
        $shipped = json_decode((string) file_get_contents($this->library->path('ladders/overhand-throw.json')), true);
        $pitch = $this->library->ladder('pitch');
        [[$needed, $rung]] = $pitch->needs;
        $ours = ['id' => 'our-throw', 'copied_from' => $needed] + $shipped;
        $without = ['id' => 'short-throw', 'copied_from' => 'our-throw'] + $shipped;
        $without['rungs'] = array_values(array_filter($shipped['rungs'], fn (array $each): bool => $each['id'] !== $rung));
        $library = new Library($this->library->path(''), new class(['our-throw' => $ours, 'short-throw' => $without]) implements OwnLadders
        {
            /** @param  array<string, array<string, mixed>>  $ladders */
            public function __construct(private array $ladders) {}

            public function text(string $id, ?int $version): ?string
            {
                return isset($this->ladders[$id]) ? json_encode($this->ladders[$id], JSON_THROW_ON_ERROR) : null;
            }
        });
        $beyond = $library->ladder($needed)->rungs[$library->ladder($needed)->position($rung) + 1]->id;
        $this->assertTrue(Prerequisites::held($pitch, [['our-throw', $beyond]], $library));
        $this->assertFalse(Prerequisites::held($pitch, [['our-throw', $rung]], $library));
        $this->assertFalse(Prerequisites::held($pitch, [['short-throw', $beyond]], $library), 'nobody saw that rung');
    }

    /** @param  list<CostedSet>  $plans */
    private function fits(LimitCalendar $limits, LoadRecord $record = new LoadRecord([]), array $plans = []): bool
    {
        return NextDose::fits($this->next, Day::of(self::ON), $record, $plans, $limits, $this->price);
    }

    private function arm(int $days, float $most, Severity $severity = Severity::Hard): LimitCalendar
    {
        $limit = new CapLimit(new LimitTerms('arm', 'Arm', 'test', $severity), Measure::Arm, $days, $most);

        return new LimitCalendar([$limit], new AthleteProfile(null), []);
    }

    /** @return float arm units */
    private function doseOn(int $after): float
    {
        return BlockPlan::asAsked($this->next->ownDose())->cost(Day::of(self::ON)->plus($after), 'next', $this->price)->cost['arm'];
    }

    private function setOn(int $after, int $reps): CostedSet
    {
        return BlockPlan::asAsked($this->next->ownDose())->withReps($reps)
            ->cost(Day::of(self::ON)->plus($after), "day {$after}", $this->price);
    }
}
