<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Flight\Air;
use Augendo\Core\Flight\Ball;
use Augendo\Core\Flight\Scatter;
use Augendo\Core\Flight\Serve;
use Augendo\Core\Flight\ServeAdvice;
use Augendo\Core\Flight\ServeChange;
use Augendo\Core\Flight\ServeCounts;
use Augendo\Core\Flight\ServeLook;
use Augendo\Core\Flight\ThrowDemand;
use Augendo\Core\Flight\Trajectory;
use Augendo\Core\Flight\TwoServes;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\FlightFiles;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\ThrowReach;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a distance asks of a throw, why serves miss, and what would bring them in. */
final class ServeTest extends TestCase
{
    private static function library(): Library
    {
        return new Library(dirname(__DIR__, 2).'/library');
    }

    private static function serve(float $speedMs = 19.0, float $topspinRpm = 600.0): Serve
    {
        $court = self::library()->courts()['volleyball'];

        return new Serve(
            self::library()->balls()['volleyball']->ball, new Air, $court, $court->boxes['whole'], 2.43, 0.0, 0.0, 2.3, $speedMs,
            $topspinRpm, 0.0,
        );
    }

    /** @return array{ServeLook, Scatter} */
    private static function counted(ServeCounts $counts): array
    {
        $look = ServeLook::at(self::serve());
        [$up, $across] = [$look->up, $look->across];
        self::assertNotNull($up);
        self::assertNotNull($across);

        return [$look, $counts->scatter($up, $across)];
    }

    public function test_by_distance_a_throw_asks_for_no_less_than_by_the_speed_its_longest_took(): void
    {
        foreach (self::library()->balls() as $id => $ball) {
            foreach ([0.2, 0.55, 0.9] as $share) {
                $demand = ThrowDemand::of($ball->ball, new Air, $share * 14.0, 14.0, null);
                $this->assertNotNull($demand);
                $this->assertGreaterThanOrEqual($demand->bySpeed - 1e-6, $demand->byDistance, "{$id} at {$share}");
                $this->assertTrue($demand->isDecidedByDistance());
                $this->assertSame($demand->byDistance, $demand->leastEffort());
                $this->assertLessThanOrEqual(ThrowReach::furthestM(0.5, 14.0), $demand->furthestM(0.5));
            }
        }
    }

    public function test_the_flattest_and_the_highest_come_down_there_and_what_nobody_knows_is_not_told(): void
    {
        $ball = new Ball(0.145, 0.0735, 0.35);
        $this->assertNull(ThrowDemand::of($ball, new Air, 20.0, null, null));
        $demand = ThrowDemand::of($ball, new Air, 20.0, null, 25.0);
        $this->assertNotNull($demand);
        $this->assertFalse($demand->isDecidedByDistance());
        ['flattest' => $flat, 'highest' => $high] = $demand->arcs() ?? $this->fail('within reach');
        foreach ([$flat, $high] as $arc) {
            $this->assertEqualsWithDelta(20.0, $arc->landing->rangeM, 0.02);
            $this->assertEqualsWithDelta(20.0, $arc->points[array_key_last($arc->points)][0], 0.02);
        }
        $this->assertLessThan($high->elevationDeg, $flat->elevationDeg);
        $this->assertLessThan($high->landing->timeS, $flat->landing->timeS);
        $easiest = $demand->easiest();
        $this->assertEqualsWithDelta(20.0, $easiest?->landing->rangeM, 0.01);
        $far = ThrowDemand::of($ball, new Air, 50.0, 40.0, null);
        $this->assertTrue($far?->isOutOfReach());
        $this->assertNull($far?->arcs());
    }

    #[TestWith([0.5, 40.0, 28.0])]
    #[TestWith([1.0, 40.0, 40.0])]
    #[TestWith([0.25, 33.0, 14.5])]
    #[TestWith([0.05, 3.0, 1.0])]
    public function test_an_effort_goes_so_far_and_no_further(float $effort, float $longestM, float $furthestM): void
    {
        $this->assertSame($furthestM, ThrowReach::furthestM($effort, $longestM));
        $this->assertTrue(ThrowReach::reaches($effort, $furthestM, $longestM));
        $this->assertFalse(ThrowReach::reaches($effort, $furthestM + 1.0, $longestM));
        $least = ThrowReach::leastEffort($furthestM, $longestM);
        $this->assertTrue($furthestM === 1.0 || $least <= $effort + 1e-9);
    }

    #[TestWith([[11, 4, 3, 1, 1]])]
    #[TestWith([[30, 0, 8, 2, 0]])]
    #[TestWith([[12, 8, 0, 0, 0]])]
    public function test_the_scatter_that_is_worked_out_misses_as_often_each_way_as_was_counted(array $went): void
    {
        $counts = new ServeCounts(...$went);
        [$look, $scatter] = self::counted($counts);
        $misses = $look->misses($scatter);
        $expected = fn (int $count): float => ($count + 0.5) / ($counts->all + 1.0);
        $this->assertEqualsWithDelta($expected($counts->net), $misses['net'], 0.01);
        $this->assertEqualsWithDelta($expected($counts->long), $misses['long'], 0.01);
        $this->assertEqualsWithDelta($look->share($scatter), $look->roughly($scatter), 0.03, 'quickly and wholly');
        $this->assertEqualsWithDelta(
            1.0, $look->roughly($scatter) + array_sum($misses), 1e-6, 'in, or missed one way',
        );
    }

    public function test_of_a_few_serves_no_scatter_is_told_and_of_lobs_the_spread_is_an_example(): void
    {
        $counts = new ServeCounts(12, 8, 0, 0, 0);
        $this->assertSame(3.0, $counts->scatter([12.0, 70.0], [-15.0, 15.0])->elevationDeg);
        $this->expectException(InvalidValue::class);
        (new ServeCounts(5, 2, 2, 0, 0))->scatter([10.0, 15.0], [-15.0, 15.0]);
    }

    public function test_what_is_advised_reaches_the_goal_and_holds_to_what_is_allowed(): void
    {
        [$look, $scatter] = self::counted(new ServeCounts(7, 3, 4, 0, 0));
        $share = $look->share($scatter);
        $advice = new ServeAdvice($look, $scatter, $share, maySpin: true, mayReach: true);
        $alone = $advice->alone(0.7);
        $cheapest = $advice->cheapest(0.7, $alone);
        $this->assertNotNull($cheapest);
        $this->assertGreaterThanOrEqual(0.7, $cheapest->share);
        foreach (array_filter($alone, fn (?ServeChange $each): bool => $each !== null && $each->share >= 0.7) as $each) {
            $this->assertLessThanOrEqual($each->price(), $cheapest->price(), 'no dearer than one thing alone');
        }
        $pace = $advice->withLessPace();
        $this->assertEqualsWithDelta($share, $pace[0]->share, 1e-9, 'nothing changed');
        $this->assertGreaterThan($pace[0]->share, $pace[2]->share);
        $strict = new ServeAdvice($look, $scatter, $share, maySpin: false, mayReach: false);
        $this->assertSame([null, null], [$strict->alone(0.7)['spin'], $strict->alone(0.7)['height']]);
        $mixed = $strict->cheapest(0.7, $strict->alone(0.7));
        $this->assertSame([0.0, 0.0], [$mixed?->topspinRpm, $mixed?->higherM]);
        $this->assertNull($strict->cheapest(0.9999, []), 'no mixture of these');
        // What is worked out quickly holds against the whole of it.
        $tried = ServeLook::at(self::serve(19.0 * $pace[2]->pace));
        $wholly = $tried->share($tried->scatter($scatter, $look->above($scatter)));
        $this->assertEqualsWithDelta($wholly, $pace[2]->share, 0.05);
    }

    public function test_two_serves_are_one_policy(): void
    {
        $two = new TwoServes(0.5, 0.8, 0.7, 0.5);
        $this->assertEqualsWithDelta(0.1, $two->doubleFault(), 1e-9);
        $this->assertEqualsWithDelta(0.5 * 0.7 + 0.5 * 0.4, $two->won(), 1e-9);
        $this->assertEqualsWithDelta(0.4 + 0.2 * 0.4, $two->wonWithSecondTwice(), 1e-9);
        $from = $two->worthFrom();
        $this->assertNotNull($from);
        $at = new TwoServes($from, 0.8, 0.7, 0.5);
        $this->assertEqualsWithDelta($at->wonWithSecondTwice(), $at->won(), 1e-9, 'there both are worth the same');
        $this->assertNull((new TwoServes(0.9, 0.9, 0.4, 0.5))->worthFrom(), 'a first serve that wins less');
    }

    public function test_without_air_the_side_lines_are_where_they_are_seen(): void
    {
        $court = self::library()->courts()['volleyball'];
        $serve = new Serve(new Ball(0.27, 0.21, 0.0), new Air, $court, $court->boxes['whole'], 2.43, 0.0, 0.0, 2.5, 13.0, 0.0, 0.0);
        $up = $serve->window()->elevations();
        $this->assertNotNull($up);
        $elevation = $up[0] + 0.5;
        $across = $serve->window()->azimuths($elevation);
        $this->assertNotNull($across);
        foreach ([[-4.5, $across[0]], [4.5, $across[1]]] as [$line, $azimuth]) {
            $landing = Trajectory::proven($serve->ball, new Air, $serve->release($elevation, $azimuth), 0.105)->landing;
            $this->assertEqualsWithDelta($line, $landing?->acrossM, 0.01);
        }
    }

    #[TestWith(['{"about": "", "balls": {"body": {"diameter_m": 0.2, "drag_coefficient": 0.4, "source": "x"}}}', '/balls/body'])]
    #[TestWith(['{"about": "x", "balls": {"moon": {"diameter_m": 0.2, "drag_coefficient": 0.4, "source": "x"}}}', '/balls/moon'])]
    #[TestWith(['{"about": "x", "balls": {"volleyball": {"diameter_m": 0}}}', '/balls/volleyball/drag_coefficient'])]
    #[TestWith([
        '{"about": "x", "balls": {"volleyball": {"diameter_m": 0, "drag_coefficient": 0.4, "source": "x"}}}',
        '/balls/volleyball/diameter_m',
    ])]
    public function test_a_ball_of_no_mass_or_no_width_is_refused_with_the_place(string $text, string $path): void
    {
        try {
            FlightFiles::balls(Node::parse($text), self::library()->objects());
            $this->fail('refused');
        } catch (CaseError $error) {
            $this->assertSame($path, $error->path);
        }
    }

    #[TestWith(['serves', ['javelin'], '/courts/volleyball/serves/0'])]
    #[TestWith(['nets', [], '/courts/volleyball/nets'])]
    #[TestWith(['boxes', [], '/courts/volleyball/boxes'])]
    #[TestWith(['net_m', 0, '/courts/volleyball/net_m'])]
    public function test_a_court_that_cannot_be_is_refused_with_the_place(string $key, mixed $value, string $path): void
    {
        $file = json_decode((string) file_get_contents(self::library()->path('courts.json')), true);
        $file['courts']['volleyball'][$key] = $value === [] && $key === 'boxes' ? new \stdClass : $value;
        try {
            FlightFiles::courts(Node::parse((string) json_encode($file)), self::library()->skills());
            $this->fail('refused');
        } catch (CaseError $error) {
            $this->assertSame($path, $error->path);
        }
    }
}
