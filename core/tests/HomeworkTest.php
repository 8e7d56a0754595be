<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\DrillWith;
use Augendo\Core\Library\Fault;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Limits\CapLimit;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Limits\LimitTerms;
use Augendo\Core\Limits\Severity;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Family;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\Measure;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Planning\Homework;
use Augendo\Core\Planning\Layoff;
use Augendo\Core\Planning\SessionFrame;
use Augendo\Core\Readiness\DayContext;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use PHPUnit\Framework\TestCase;

/** Practice alone between two sessions. */
final class HomeworkTest extends TestCase
{
    private const FROM = '2027-05-10';

    private Library $library;

    private Rung $rung;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
        $this->rung = $this->library->ladder('volleyball-float-serve')->rungs[4];
    }

    public function test_alone_is_rehearsal_and_the_drill_easy_and_judged_by_nobody(): void
    {
        foreach ($this->library->ladderIds() as $id) {
            foreach ($this->library->ladder($id)->rungs as $rung) {
                foreach (Homework::alone($rung, $rung->faults[0] ?? null)->blocks as $block) {
                    $this->assertLessThanOrEqual(0.5, $block->effort, "{$id} {$rung->id}");
                    $this->assertLessThanOrEqual($block->effort, $block->effortMin);
                    $this->assertFalse($block->judged);
                    $jumps = $block->skill->family === Family::Jump && $block->skill->landingsPerRep > 0;
                    $this->assertFalse($jumps, 'nobody jumps alone');
                    $this->assertFalse($block->object->hard, 'nobody throws a hard ball alone');
                }
            }
        }
        $withDrill = Homework::alone($this->rung, $this->rung->faults[0])->blocks;
        $without = Homework::alone($this->rung, null)->blocks;
        $this->assertCount(count($without) + 1, $withDrill);
        $this->assertSame(3, $withDrill[count($withDrill) - 1]->sets);
        $this->assertSame([BlockKind::Rehearsal], array_map(fn ($block): BlockKind => $block->kind, $without));
    }

    public function test_it_is_put_on_three_days_at_most_with_a_day_between_and_never_on_a_day_with_work(): void
    {
        $this->assertSame([0, 2, 4], $this->days(9));
        $this->assertSame([1, 3, 5], $this->days(9, taken: [0]));
        $this->assertSame([0, 3, 5], $this->days(9, taken: [1, 2]));
        $this->assertSame([0, 2], $this->days(4), 'until the day before the next session');
        $this->assertSame([0], $this->days(2));
        $this->assertSame([], $this->days(0));
        $this->assertSame([], $this->days(9, taken: range(0, 8)));
    }

    public function test_where_nothing_fits_or_nothing_can_be_done_alone_there_is_none(): void
    {
        $this->assertSame([], $this->days(9, mostArm: 0.0));
        $this->assertSame([], $this->days(9, soreOn: 0), 'a sore shoulder');
        $this->assertSame([], Homework::between(
            Day::of(self::FROM), Day::of(self::FROM)->plus(9), $this->rung->with(['blocks' => [$this->rung->ownDose()]]), null, [],
            fn (Day $on): SessionFrame => $this->frame($on, 1000.0, null),
        ));
    }

    public function test_of_the_drills_there_are_those_are_given_that_one_does_alone_and_what_mends_the_fault_first(): void
    {
        $fault = $this->rung->faults[0];
        $like = $this->library->drills()['other-hand-toss'];
        $known = [
            'plain' => $like->with(['id' => 'plain', 'mends' => null]),
            'mends' => $like->with(['id' => 'mends', 'mends' => ' '.mb_strtoupper($fault->name).' ']),
            'partner' => $like->with(['id' => 'partner', 'with' => DrillWith::Partner]),
            'elsewhere' => $like->with(['id' => 'elsewhere', 'skills' => ['javelin']]),
            'nothing to count' => $like->with(['id' => 'nothing to count', 'dose' => $like->dose->with(['reps' => 0])]),
            'far' => $like->with(['id' => 'far', 'dose' => $like->dose->with(['object' => $this->library->objects()['javelin-600']])]),
            'jumps' => $like->with(['id' => 'jumps', 'dose' => $like->dose->with(['skill' => $this->library->skills()['jump']])]),
        ];
        $given = fn (?Fault $focus): array => array_keys(Homework::drills($known, $focus, $this->library->skills()['float-serve']));
        $this->assertSame(['mends', 'plain'], $given($fault));
        $this->assertSame(['plain', 'mends'], $given(null));
    }

    public function test_a_drill_that_is_given_takes_the_place_of_that_of_the_fault_and_is_no_harder_than_half(): void
    {
        $fault = $this->rung->faults[0];
        $like = $this->library->drills()['other-hand-toss'];
        $hard = $like->with(['dose' => $like->dose->with(['effort' => 0.9, 'effortMin' => 0.9, 'title' => 'Our own'])]);
        $titles = fn (Rung $rung): array => array_map(fn (BlockDose $block): string => $block->title, $rung->blocks);
        $ofTheFault = $titles(Homework::alone($this->rung, $fault));
        $own = Homework::alone($this->rung, $fault, $hard);
        $this->assertSame([...array_slice($ofTheFault, 0, -1), 'Our own'], $titles($own));
        $last = $own->blocks[count($own->blocks) - 1];
        $this->assertSame([0.5, 0.5], [$last->effort, $last->effortMin]);
        $needsOne = $fault->with(['with' => DrillWith::Partner]);
        $this->assertNotContains(end($ofTheFault), $titles(Homework::alone($this->rung, $needsOne)), 'nobody is there to feed');
    }

    /**
     * @param  list<int>  $taken  days after the first
     * @param  int|null  $soreOn  days after the first from which the shoulder is too sore for anything
     * @return list<int> days after the first
     */
    private function days(int $until, array $taken = [], float $mostArm = 1000.0, ?int $soreOn = null): array
    {
        $from = Day::of(self::FROM);
        $days = Homework::between(
            from: $from,
            to: $from->plus($until),
            rung: $this->rung,
            focus: $this->rung->faults[0],
            taken: array_map(fn (int $after): int => $from->ordinal + $after, $taken),
            frameOn: fn (Day $on): SessionFrame => $this->frame($on, $mostArm, $soreOn),
        );

        return array_map(fn (array $each): int => $each[0]->daysSince($from), $days);
    }

    private function frame(Day $on, float $mostArm, ?int $soreOn): SessionFrame
    {
        $profile = new AthleteProfile(Day::of('2010-01-01'));
        $limit = new CapLimit(new LimitTerms('arm', 'Arm', 'test', Severity::Hard), Measure::Arm, 1, $mostArm);
        $score = $soreOn !== null && $on->ordinal >= Day::of(self::FROM)->ordinal + $soreOn ? 8 : 0;
        $report = new SorenessReport(
            at: \Augendo\Core\Instant::of("{$on->iso()}T08:00:00Z"), moment: Moment::Morning, site: Site::Shoulder, side: 'right',
            kind: Kind::Muscle, score: $score,
        );

        return new SessionFrame(
            on: $on,
            session: 'homework',
            price: new SetCost($profile),
            readiness: Readiness::on($on, 17, [$report], [], School::Graded, new DayContext),
            record: new LoadRecord([]),
            limits: new LimitCalendar([$limit], $profile),
            otherPlans: [],
            layoff: Layoff::days(0),
            throwing: Handedness::Right,
        );
    }
}
