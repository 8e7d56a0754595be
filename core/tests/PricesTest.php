<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Weave;
use PHPUnit\Framework\TestCase;

/** The worked examples of docs/prices.md: what a set of the library costs, to the figure. */
final class PricesTest extends TestCase
{
    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    public function test_a_landing_on_one_leg_is_priced_as_one(): void
    {
        // 15 jump throws at 60 % on a sprung floor: 15 × 0.8 × 1.5.
        $this->assertSame(18.0, round($this->judged('handball-jump-throw', 'three')->cost['landings'], 9));
        // 18 three-step javelin throws onto a braced front leg, on grass: 18 × 0.8 × 1.5.
        $this->assertSame(21.6, round($this->judged('javelin-throw', 'three-step')->cost['landings'], 9));
        // 18 racket serves landed inside the line, on a firm court: 18 × 1 × 1.5.
        $this->assertSame(27.0, round($this->judged('racket-serve', 'land')->cost['landings'], 9));
        // 12 small leaps between two lines, on a mat: 12 × 0.8 × 1.5; the jump up before them lands on both.
        $this->assertSame(14.4, round($this->judged('jump-landing', 'lines')->cost['landings'], 9));
        $this->assertSame(9.6, round($this->judged('jump-landing', 'stick')->cost['landings'], 9));
        // Nobody wrote down how: a match, a score, work told of from home lands the way the skill does, on an unknown floor.
        $set = WorkSet::ordinarily(Day::of('2027-05-20'), 's', $this->library->skills()['handball-jump-throw'], 10, 0.95);
        $this->assertSame(18.75, round($this->price()->of($set)->cost['landings'], 9));
    }

    public function test_a_serve_that_lands_loads_the_arm_and_the_hand_as_well(): void
    {
        $cost = $this->judged('serve-landing', 'ball');
        $this->assertGreaterThan(0.0, $cost->cost['arm']);
        $this->assertGreaterThan(0.0, $cost->cost['hand']);
        // 12 serves at 75 %: weight 0.86, the arm 0.9 each; landings 12 × 1 × 1.5.
        $this->assertSame([9.288, 18.0], [round($cost->cost['arm'], 9), round($cost->cost['landings'], 9)]);
    }

    public function test_a_pitcher_on_flat_ground_throws_overhand_and_lands_nowhere(): void
    {
        $flat = $this->judged('pitch', 'flat-spots');
        $slope = $this->judged('pitch', 'slope-easy');
        $this->assertSame(0.0, $flat->cost['landings']);
        $this->assertGreaterThan(0.0, $slope->cost['landings']);
        $perRep = fn (CostedSet $set): float => round($set->cost['arm'] / $set->cost['reps'], 9);
        $this->assertSame(1.2, round($perRep($slope) / $perRep($flat), 9), 'the same effort down a slope costs a fifth more');
    }

    public function test_every_drill_of_the_library_has_a_price_of_its_own(): void
    {
        foreach ($this->library->ladderIds() as $id) {
            foreach ($this->library->ladder($id)->rungs as $rung) {
                foreach ($rung->faults as $fault) {
                    $this->assertNotNull($fault->dose, "{$id}: {$fault->name}");
                }
            }
        }
    }

    public function test_a_pose_that_is_held_is_no_serve(): void
    {
        $rung = $this->library->ladder('volleyball-float-serve')->rungs[4];
        $held = array_values(array_filter($rung->faults, fn (Fault $fault): bool => $fault->id === 'low-elbow'))[0];
        $drill = Weave::drillFor($rung->ownDose(), $held);
        $this->assertSame(['nothing', null, 10, 4], [$drill->object->id, $drill->distanceM, $drill->holdS, $drill->reps]);
        // 4 held poses, nothing in the hand: 4 × 0.5 × 0.25 × 0.7. As four of the serves it mends it would be five times that.
        $this->assertSame(0.35, round($this->cost($drill)->cost['arm'], 9));
        // A drill nobody gave a dose counts as the block it mends.
        $unsaid = new Fault('new', 'New', $held->checkpoint, 'cue', 'drill', false);
        $asBlock = Weave::drillFor($rung->ownDose(), $unsaid);
        $this->assertSame(
            [$rung->ownDose()->object->id, $rung->ownDose()->distanceM, $rung->ownDose()->skill->id],
            [$asBlock->object->id, $asBlock->distanceM, $asBlock->skill->id],
        );
    }

    private function judged(string $ladder, string $rung): CostedSet
    {
        return $this->cost($this->library->ladder($ladder)->rung($rung)?->ownDose() ?? self::fail("{$ladder} has no rung {$rung}"));
    }

    private function cost(BlockDose $dose): CostedSet
    {
        return BlockPlan::asAsked($dose)->cost(Day::of('2027-05-20'), 's', $this->price());
    }

    private function price(): SetCost
    {
        return new SetCost(new AthleteProfile(null));
    }
}
