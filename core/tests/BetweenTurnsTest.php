<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Drill;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\Allowed;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\SessionClock;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Stations\Attendee;
use Augendo\Core\Stations\BetweenTurns;
use Augendo\Core\Stations\Hour;
use Augendo\Core\Stations\Piece;
use Augendo\Core\Stations\Space;
use Augendo\Core\Stations\StationFlag;
use Augendo\Core\Stations\StationPlan;
use Augendo\Core\Stations\Task;
use PHPUnit\Framework\TestCase;

/** Nobody stands about, and nothing is thrown or landed because there is time. */
final class BetweenTurnsTest extends TestCase
{
    private const ON = '2027-03-15';

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(__DIR__.'/../../library');
    }

    public function test_whoever_waits_does_drills_in_turn_inside_the_time_a_round_leaves(): void
    {
        $plan = $this->plan();
        $drills = array_fill_keys(array_map(fn (Attendee $of): string => $of->id, $plan->hour->attendees), $this->free());
        $between = BetweenTurns::of($plan, $drills);
        $seen = [];
        foreach ($between->rounds as $r => $filled) {
            foreach ($filled as $id => $given) {
                $seconds = array_sum(array_map($this->seconds(...), $given)) + $this->ownSeconds($plan, $r, $id);
                $this->assertLessThanOrEqual(60 * $plan->rounds[$r]->minutes, $seconds);
                $seen[$id] = [...$seen[$id] ?? [], ...array_map(fn (Drill $drill): string => $drill->id, $given)];
            }
        }
        foreach ($seen as $id => $ids) {
            $times = array_count_values($ids);
            $most = min($times) + (count($times) < count($this->free()) ? 0 : 1);
            $this->assertLessThanOrEqual($most, max($times), "{$id} does one too often");
        }
        $own = $plan->usefulShare();
        $useful = $between->usefulShare();
        $this->assertLessThan(StationPlan::USEFUL_SHARE, min($own), 'one lane for six: most of them wait');
        foreach ($own as $id => $share) {
            $this->assertGreaterThanOrEqual($share, $useful[$id]);
            $this->assertLessThanOrEqual(1.0 + 1e-9, $useful[$id]);
        }
        $this->assertGreaterThan(min($own), min($useful));
        $this->assertEquals($own, BetweenTurns::of($plan, [])->usefulShare());
        $codes = fn (array $flags): array => array_map(fn (StationFlag $flag): string => $flag->code, $flags);
        $this->assertContains('little', $codes(BetweenTurns::of($plan, [])->flags()));
        if (min($useful) >= StationPlan::USEFUL_SHARE) {
            $this->assertNotContains('little', $codes($between->flags()));
        }
    }

    public function test_whoever_helps_helps_and_whoever_is_late_warms_up(): void
    {
        $plan = $this->plan(lateMin: 12);
        $between = BetweenTurns::of(
            $plan, array_fill_keys(array_map(fn (Attendee $of): string => $of->id, $plan->hour->attendees), $this->free()),
        );
        foreach ($plan->rounds as $r => $round) {
            foreach ($round->places as $place) {
                foreach ($place->placed as $placed) {
                    if ($placed->task !== Task::Works) {
                        $this->assertArrayNotHasKey($placed->id, $between->rounds[$r]);
                    }
                }
            }
            if ($round->startMin < 12) {
                $this->assertArrayNotHasKey('late', $between->rounds[$r]);
            }
        }
    }

    public function test_what_is_sore_referred_or_on_its_way_back_does_nothing_meanwhile(): void
    {
        $this->assertNotSame([], $this->free());
        foreach ($this->free() as $drill) {
            $this->assertTrue($drill->dose->reps === 0 || $drill->dose->skill->isFootwork(), $drill->id);
        }
        $channels = fn (Drill $drill): array => array_column($drill->dose->loadedChannels(), 'value');
        $loaded = fn (array $drills): array => array_unique(array_merge(...array_map($channels, $drills)));
        $this->assertNotContains('landing', $loaded($this->free([[Site::Knee, 'left', Kind::Joint, 3]])));
        $this->assertContains('landing', $loaded($this->free()));
        $this->assertNotContains('landing', $loaded($this->free(resting: [Channel::Landing])));
        $referred = $this->free([[Site::Elbow, 'right', Kind::Swelling, 4]]);
        $this->assertNotSame([], $referred);
        $this->assertSame([], $loaded($referred), 'until it is cleared nothing that loads');
    }

    /**
     * @param  list<array{Site, string|null, Kind, int}>|null  $reports
     * @param  list<Channel>  $resting
     * @return list<Drill>
     */
    private function free(?array $reports = null, array $resting = []): array
    {
        $readiness = Readiness::on(Day::of(self::ON), 30, array_map(
            fn (array $each): SorenessReport => new SorenessReport(Instant::of(self::ON.'T08:00:00Z'), Moment::Before, ...$each),
            $reports ?? [[Site::None, null, Kind::Muscle, 0]],
        ), []);

        $allowed = new Allowed($readiness, Handedness::Right, $resting);

        return array_values(array_filter(
            $this->library->drills(),
            fn (Drill $drill): bool => $drill->isFree() && $drill->isFor([$this->library->skills()['float-serve']])
                && $allowed->allows($drill->dose),
        ));
    }

    /** Six servers at one lane, one of them late. */
    private function plan(int $lateMin = 0): StationPlan
    {
        $rung = $this->library->ladder('volleyball-float-serve')->rung('line');
        $work = array_values(array_filter(array_map(
            fn ($dose): ?Piece => Piece::of(BlockPlan::asAsked($dose)), $rung->blocks ?? [],
        )));
        $attendees = array_map(fn (int $i): Attendee => new Attendee("a{$i}", true, $work), range(1, 5));

        return StationPlan::make(new Hour(
            minutes: 75, adults: 1, balls: 30, warmUpMin: 6, coolDownMin: 4, changeOverMin: 1, leastRoundMin: 4,
            spaces: [new Space('court', 20, 2, Surface::Sprung, false)],
            attendees: [...$attendees, new Attendee('late', true, $work, $lateMin)],
        ));
    }

    private function ownSeconds(StationPlan $plan, int $round, string $id): int
    {
        $seconds = 0;
        foreach ($plan->rounds[$round]->places as $place) {
            foreach ($place->placed as $placed) {
                foreach ($placed->id === $id ? $placed->work : [] as $j) {
                    $seconds += $plan->hour->attendee($id)->work[$j]->seconds;
                }
            }
        }

        return $seconds;
    }

    private function seconds(Drill $drill): int
    {
        return SessionClock::blockSeconds(BlockPlan::asAsked($drill->dose));
    }
}
