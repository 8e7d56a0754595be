<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Library\DoseShares;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\Carried;
use PHPUnit\Framework\TestCase;

/** What the last four weeks carried, and what a rung is begun with because of it. */
final class CarriedTest extends TestCase
{
    private const ON = '2027-03-15';

    private Library $library;

    private Rung $rung;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
        $this->rung = $this->library->ladder('javelin-throw')->rungs[4];
    }

    public function test_it_is_a_quarter_of_the_last_twenty_eight_days_on_the_side_that_throws(): void
    {
        $sets = [$this->throws(-1, 20), $this->throws(-28, 20), $this->throws(-29, 500), $this->throws(-3, 300, side: Side::Other)];
        $carried = $this->carried($sets);
        $this->assertSame(Channel::Arm, $carried->channel);
        $this->assertEqualsWithDelta(($sets[0]->cost['arm'] + $sets[1]->cost['arm']) / 4, $carried->unitsAWeek, 1e-9);
        $beside = $this->carried($sets, [$this->throws(2, 40)]);
        $this->assertEqualsWithDelta($this->throws(2, 40)->cost['arm'] / 4, $beside->besideAWeek, 1e-9);
        $jump = $this->library->ladder('jump-landing')->rungs[1];
        $this->assertSame(Channel::Landing, Carried::channel($jump, $this->price(), Day::of(self::ON)));
    }

    public function test_a_rung_is_begun_between_what_nothing_and_what_much_allows(): void
    {
        // Three sessions a week of ten units: thirty units carried are the rung as it is asked.
        $at = fn (float $unitsAWeek): array => [
            ($of = $this->carriedUnits($unitsAWeek))->begins(10.0)->share, $of->begins(10.0)->carried, $of->growsTo(10.0),
        ];
        $this->assertEqualsWithDelta([0.5, 0.0, 1.0], $at(0.0), 1e-9);
        $this->assertEqualsWithDelta([0.5, 0.2, 1.0], $at(6.0), 1e-9);
        $this->assertEqualsWithDelta([0.8, 0.8, 1.0], $at(24.0), 1e-9);
        $this->assertEqualsWithDelta([1.5, 1.5, 1.5], $at(45.0), 1e-9);
        $this->assertEqualsWithDelta([2.0, 2.0, 2.0], $at(300.0), 1e-9, 'the most at that age, however much there was');
        $half = $this->carriedUnits(45.0)->begins(10.0)->of(2.0);
        $this->assertEqualsWithDelta([0.75, 0.75], [$half->share, $half->carried], 1e-9);
    }

    public function test_effort_and_distance_begin_at_what_was_really_thrown(): void
    {
        $none = $this->carried([])->begins(10.0);
        $this->assertSame([null, null], [$none->effort, $none->distanceM]);
        $said = $this->carried([$this->throws(-2, 20, 0.5)])->begins(10.0);
        $this->assertEqualsWithDelta(0.5, $said->effort, 1e-9);
        $this->assertNull($said->distanceM);
        // 30 m of 40 ask for three quarters of the stress, more than half an effort says.
        $thrown = $this->carried([$this->throws(-2, 20, 0.5, 30.0), $this->throws(-5, 20, 0.5, 31.3)])->begins(10.0);
        $this->assertGreaterThan(0.55, $thrown->effort);
        $this->assertSame(30.5, $thrown->distanceM, 'metres somebody can pace');
        $other = $this->carried([$this->throws(-2, 20, 0.9, 35.0, Side::Other)])->begins(10.0);
        $this->assertSame([null, null], [$other->effort, $other->distanceM], 'the other arm says nothing of this one');
    }

    private function carriedUnits(float $unitsAWeek): Carried
    {
        $one = $this->throws(-2, 1);
        $cost = array_map(fn (float $amount): float => $amount * 4 * $unitsAWeek / $one->cost['arm'], $one->cost);
        $set = new CostedSet(
            day: $one->day,
            session: 'much',
            skill: $one->skill,
            family: $one->family,
            side: $one->side,
            implement: $one->implement,
            cost: $cost,
            effort: $one->effort,
            distanceM: null,
        );

        return $this->carried($unitsAWeek > 0.0 ? [$set] : []);
    }

    /**
     * @param  list<CostedSet>  $record
     * @param  list<CostedSet>  $beside
     */
    private function carried(array $record, array $beside = []): Carried
    {
        return Carried::of(
            record: new LoadRecord($record),
            from: Day::of(self::ON),
            rung: $this->rung,
            price: $this->price(),
            beside: $beside,
            sessionsAWeek: 3.0,
            shares: new DoseShares(asked: 1.0, begun: 0.5, most: 2.0),
        );
    }

    private function throws(int $day, int $reps, float $effort = 0.7, ?float $distanceM = null, Side $side = Side::Dominant): CostedSet
    {
        $javelin = $this->library->skills()['javelin'];

        return $this->price()->of(new WorkSet(
            day: Day::of(self::ON)->plus($day),
            session: "d{$day}",
            skill: $javelin,
            reps: $reps,
            effort: $effort,
            implement: $javelin->ordinaryImplement(),
            distanceM: $distanceM,
            side: $side,
        ));
    }

    private function price(): SetCost
    {
        return new SetCost(new AthleteProfile(Day::of('2000-01-01'), ['javelin' => 40.0]));
    }
}
