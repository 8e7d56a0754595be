<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Gates\DaySoreness;
use Augendo\Core\Gates\GateDecision;
use Augendo\Core\Gates\GateEvidence;
use Augendo\Core\Gates\GateResult;
use Augendo\Core\Instant;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\Side;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Layoff;
use Augendo\Core\Planning\SessionBuilder;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each ladder that ships is walked from its foot to its top: planned inside the starter limits, judged, and let through its gates. */
final class EveryLadderTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function ladders(): iterable
    {
        foreach (glob(dirname(__DIR__, 2).'/library/ladders/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [basename($file, '.json')];
        }
    }

    #[DataProvider('ladders')]
    public function test_a_ladder_is_walked_from_its_foot_to_its_top(string $id): void
    {
        $library = self::library();
        $ladder = $library->ladder($id);
        $this->assertGreaterThanOrEqual(5, count($ladder->rungs));
        $this->assertNotSame([], $ladder->cautions);
        foreach ($ladder->rungs as $rung) {
            $where = "{$id}, {$rung->id}";
            foreach ([9, 14, 30] as $age) {
                $built = $this->build($library, $rung, $age);
                $own = array_values(array_filter($built->blocks, fn (BlockPlan $block): bool => $block->asked === $rung->ownDose()));
                $this->assertCount(1, $own, $where);
                $this->assertGreaterThan(0, $own[0]->reps, "{$where}: a rested athlete of {$age} has something to do");
            }
            $this->assertSame(GateDecision::Advance, $this->gate($rung, 2)->decision, "{$where}: two good days open the gate");
            if ($rung->gate->minSessions > 1) {
                $this->assertNotSame(GateDecision::Advance, $this->gate($rung, 1)->decision, "{$where}: one good day does not");
            }
            $this->assertNotSame([], $rung->checkpoints, $where);
            $this->assertNotSame([], $rung->faults, $where);
        }
    }

    #[DataProvider('ladders')]
    public function test_text_reads_right_for_a_left_hander_and_for_the_other_side(string $id): void
    {
        $ladder = self::library()->ladder($id);
        $texts = self::texts($ladder);
        foreach ($texts as $text) {
            foreach ([Handedness::Left, Handedness::Right] as $hand) {
                $this->assertDoesNotMatchRegularExpression('/[{}]/', $hand->mirror($text), $text);
            }
        }
        $sided = array_filter($texts, fn (string $text): bool => Handedness::Left->mirror($text) !== Handedness::Right->mirror($text));
        foreach ($sided as $text) {
            $this->assertSame(
                substr_count(Handedness::Left->mirror($text), 'left'),
                substr_count(Handedness::Right->mirror($text), 'right'),
                'what is left for one is right for the other',
            );
        }
        $other = array_filter(
            array_merge(...array_map(fn (Rung $rung): array => $rung->blocks, $ladder->rungs)),
            fn (BlockDose $block): bool => $block->side === Side::Other,
        );
        $this->assertNotSame([], $sided, "{$id} says something of left or right");
        $this->assertNotSame([], $other, "{$id} has work for the other side");
        foreach ($other as $block) {
            $this->assertLessThanOrEqual(0.5, $block->effort, "{$id}: the other side is easy");
        }
    }

    public function test_what_a_ladder_builds_on_is_there(): void
    {
        $library = self::library();
        $ids = $library->ladderIds();
        $this->assertGreaterThanOrEqual(20, count($ids));
        foreach ($ids as $id) {
            foreach ($library->ladder($id)->needs as [$needed, $rung]) {
                $this->assertContains($needed, $ids, $id);
                $this->assertNotNull($library->ladder($needed)->position($rung), "{$id} needs {$needed} {$rung}");
            }
        }
        $this->assertSame([], $library->problems());
    }

    private static function library(): Library
    {
        return new Library(dirname(__DIR__, 2).'/library');
    }

    private function build(Library $library, Rung $rung, int $age): \Augendo\Core\Planning\BuiltSession
    {
        $on = Day::of('2027-03-15');
        $profile = new AthleteProfile($on->plus(-366 * $age));
        $calm = Readiness::on(
            $on,
            $age,
            [new SorenessReport(Instant::of("{$on->iso()}T08:00:00Z"), Moment::Morning, Site::None, null, Kind::Muscle, 0)],
            [],
        );

        return SessionBuilder::build(
            new SessionFrame(
                $on, 's', new SetCost($profile), $calm, new LoadRecord([]),
                new LimitCalendar($library->ruleSet('starter')->limits, $profile), [], Layoff::days(0),
                Handedness::Left,
            ),
            $rung,
        );
    }

    private function gate(Rung $rung, int $days): GateResult
    {
        $on = Day::of('2027-03-20');
        $reps = [];
        for ($day = 1; $day <= $days; $day++) {
            for ($i = 0; $i < 10; $i++) {
                $reps[] = new JudgedRep(Instant::of("2027-03-1{$day}T10:00:0{$i}Z"), "s{$day}", true);
            }
        }

        return GateResult::of(
            $rung->gate,
            $on,
            new GateEvidence($reps, [new DaySoreness($on, Moment::Morning, 0)], Word::Full, true, true, null),
        );
    }

    /** @return list<string> everything a person reads */
    private static function texts(Ladder $ladder): array
    {
        $texts = [$ladder->summary, ...$ladder->cautions];
        foreach ($ladder->rungs as $rung) {
            $texts = [...$texts, $rung->name, $rung->goal];
            foreach ($rung->checkpoints as $checkpoint) {
                $texts[] = $checkpoint->good;
            }
            foreach ($rung->faults as $fault) {
                $texts = [...$texts, $fault->cue, $fault->drill];
            }
            foreach ($rung->blocks as $block) {
                $texts[] = $block->text;
            }
        }

        return $texts;
    }
}
