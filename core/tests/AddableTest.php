<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Channel;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Augendo\Core\Planning\Addable;
use Augendo\Core\Planning\Allowed;
use Augendo\Core\Planning\OnLadder;
use Augendo\Core\Planning\WorkSource;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use PHPUnit\Framework\TestCase;

/** What may be put on a sheet, and what a day allows of it. */
final class AddableTest extends TestCase
{
    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(__DIR__.'/../../library');
    }

    public function test_only_the_rung_itself_is_judged_and_what_mends_the_focus_comes_first(): void
    {
        $own = $this->at('volleyball-float-serve', 'line');
        $fault = $own->rung->faults[2]->id;
        $found = Addable::to($own, [$this->at('jump-landing', 'stick')], array_values($this->library->drills()), [$fault]);
        $this->assertSame("volleyball-float-serve/line/{$fault}", array_key_first($found));
        $this->assertSame(array_keys($found), array_unique(array_keys($found)));
        foreach ($found as $key => $source) {
            $this->assertSame(
                $source->ladder === 'volleyball-float-serve' && $source->rung === 'line' && $source->from === 'ladder'
                    && $own->rung->blocks[(int) $this->last($key)]->judged,
                $source->dose->judged, $key,
            );
        }
        $ladders = array_unique(array_map(fn (WorkSource $source): string => "{$source->ladder}/{$source->rung}", $found));
        $this->assertContains('volleyball-float-serve/short', $ladders, 'the rung below');
        $this->assertContains('jump-landing/stick', $ladders);
        $this->assertArrayHasKey('drill/other-hand-toss', $found);
        $this->assertArrayNotHasKey('drill/crossing-steps', $found, 'of no skill this athlete trains');
    }

    public function test_at_the_foot_of_a_ladder_there_is_no_rung_below_and_another_has_no_second_warm_up(): void
    {
        $foot = $this->library->ladder('jump-landing');
        $found = Addable::to(new OnLadder($foot, $foot->rungs[0]), [$this->at('volleyball-float-serve', 'line')], []);
        $this->assertSame(['soft', 'line'], array_values(array_unique(array_map(fn (WorkSource $of): ?string => $of->rung, $found))));
        foreach ($found as $source) {
            if ($source->rung === 'line') {
                $this->assertNotContains($source->dose->kind->value, ['warm_up', 'cool_down']);
            }
        }
    }

    public function test_what_a_day_allows_is_one_question(): void
    {
        $rung = $this->at('volleyball-float-serve', 'line')->rung;
        $serve = $rung->ownDose();
        $other = $serve->onSide(Side::Other);
        $quiet = $this->library->drills()['eyes-shut']->dose;
        $asks = fn (array $report, array $resting = []): array => array_map(
            fn ($dose): bool => $this->allowed($report, $resting)->allows($dose), [$serve, $other, $quiet],
        );
        $this->assertSame([true, true, true], $asks([Site::None, null, Kind::Muscle, 0]));
        $this->assertSame([false, true, true], $asks([Site::Wrist, 'right', Kind::Joint, 3]));
        $this->assertSame([false, false, true], $asks([Site::Elbow, 'right', Kind::Swelling, 4]), 'a referral leaves what loads nothing');
        $this->assertSame([false, false, true], $asks([Site::None, null, Kind::Muscle, 0], [Channel::Arm]));
        $resting = $this->allowed([Site::None, null, Kind::Muscle, 0], [Channel::Arm, Channel::Landing]);
        $this->assertSame([Channel::Arm], $resting->restingIn($serve));
    }

    /**
     * @param  array{Site, string|null, Kind, int}  $report
     * @param  list<Channel>  $resting
     */
    private function allowed(array $report, array $resting): Allowed
    {
        $said = new SorenessReport(Instant::of('2027-03-15T08:00:00Z'), Moment::Before, ...$report);

        return new Allowed(Readiness::on(Day::of('2027-03-15'), 30, [$said], []), Handedness::Right, $resting);
    }

    private function at(string $ladder, string $rung): OnLadder
    {
        $of = $this->library->ladder($ladder)->onFloor(Surface::Sprung);

        return new OnLadder($of, $of->rung($rung) ?? throw new \LogicException("no {$rung}"));
    }

    private function last(string $key): string
    {
        return (string) substr((string) strrchr($key, '/'), 1);
    }
}
