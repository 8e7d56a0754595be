<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Implement;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Load\Surface;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\BuiltSession;
use Augendo\Core\Planning\Layoff;
use Augendo\Core\Planning\SessionBuilder;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;

/** A built session never exceeds a hard limit, whatever the record, the word, the rung and the other plans. */
final class SessionBuilderPropertyTest extends TestCase
{
    use TestTrait;

    public function test_no_hard_limit_is_over_and_no_trim_is_needless(): void
    {
        $this->minimumEvaluationRatio(0)->limitTo(250)
            ->forAll(Generators::choose(0, 1_000_000), Generators::choose(5, 45))
            ->then(function (int $seed, int $age): void {
                [$frame, $built] = $this->randomSession($seed, $age);

                $this->assertSame([], $frame->broken($built->blocks), "seed {$seed}, age {$age}");
                foreach ($built->blocks as $i => $block) {
                    $word = $frame->wordFor($block);
                    $this->assertLessThanOrEqual($frame->effortCap($word) + 1e-9, $block->reps > 0 ? $block->effort : 0.0);
                    if (! $word->allowsWork()) {
                        $this->assertSame(0, $block->reps, 'Nothing is planned for a channel that may not work.');
                    }
                    $this->assertGreaterThanOrEqual(0, $block->asked->sets * $block->asked->reps - $block->reps);
                    $this->assertSame($block->reps, array_sum($block->repsBySet()));
                    $this->assertFalse($frame->isCalledTooEasy($block), "seed {$seed}: called easier than its distance lets it be");
                    $this->assertTrimNeeded($frame, $built, $i, $block);
                }
            });
    }

    /** A trim made for a limit names one, and giving one repetition back would break it. */
    private function assertTrimNeeded(SessionFrame $frame, BuiltSession $built, int $i, BlockPlan $block): void
    {
        foreach ($built->trims as $trim) {
            if ($trim->cause !== 'limit' || $trim->block !== $i) {
                continue;
            }
            $this->assertNotSame([], $trim->limits, "The {$trim->what} trim of block {$i} names no limit.");
            if ($trim->what === 'reps') {
                $more = $built->blocks;
                $more[$i] = $block->withReps($block->reps + 1);
                $this->assertNotSame([], $frame->broken($more));
            }
        }
    }

    /** @return array{SessionFrame, BuiltSession} */
    private function randomSession(int $seed, int $age): array
    {
        mt_srand($seed);
        $library = new Library(dirname(__DIR__, 2).'/library');
        $skills = $library->skills();
        $on = Day::of('2027-03-15');
        $profile = new AthleteProfile($on->plus(-365 * $age - 200), ['javelin' => mt_rand(15, 60)]);
        $price = new SetCost($profile);
        $set = function (Day $day) use ($skills): WorkSet {
            $skill = $skills[['javelin', 'float-serve', 'jump', 'spike'][mt_rand(0, 3)]];
            $efforts = [null, 0.3, 0.5, 0.75, 0.9, 1.0];

            return new WorkSet(
                $day, 'other', $skill, mt_rand(0, 60), $efforts[mt_rand(0, 5)], Implement::Standard, mt_rand(0, 1) ? mt_rand(3, 40) : null,
                side: mt_rand(0, 5) ? Side::Dominant : Side::Other, surface: mt_rand(0, 1) ? Surface::Sprung : null,
            );
        };
        $record = $plans = [];
        $density = mt_rand(1, 6);
        for ($back = mt_rand(0, 60); $back >= 0; $back--) {
            if (mt_rand(0, $density) === 0) {
                $record[] = $price->of($set($on->plus(-$back)));
            }
        }
        for ($ahead = 0; $ahead < 5; $ahead++) {
            if (mt_rand(0, 3) === 0) {
                $plans[] = $price->of($set($on->plus($ahead)));
            }
        }
        $sites = [Site::Shoulder, Site::Knee, Site::Wrist, Site::None];
        $reports = [];
        for ($i = mt_rand(0, 2); $i > 0; $i--) {
            $site = $sites[mt_rand(0, 3)];
            $reports[] = new SorenessReport(
                Instant::of("2027-03-15T0{$i}:00:00Z"), Moment::Morning, $site, null,
                [Kind::Muscle, Kind::Joint, Kind::Skin][mt_rand(0, 2)], $site === Site::None ? 0 : mt_rand(0, 8),
            );
        }
        $ladders = $library->ladderIds();
        $ladder = $library->ladder($ladders[mt_rand(0, count($ladders) - 1)]);
        $frame = new SessionFrame(
            $on, 'session', $price, Readiness::on($on, $age, $reports, []), new LoadRecord($record),
            new LimitCalendar($library->ruleSet('starter')->limits, $profile), $plans, Layoff::days(mt_rand(0, 40)), Handedness::Right,
        );

        return [$frame, SessionBuilder::build($frame, $ladder->rungs[mt_rand(0, count($ladder->rungs) - 1)])];
    }
}
