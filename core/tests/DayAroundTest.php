<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\DayContext;
use Augendo\Core\Readiness\Illness;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\KnownCondition;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;
use PHPUnit\Framework\TestCase;

/** What the application knows around the reports: sides, known conditions, a fever, and a none that holds overnight. */
final class DayAroundTest extends TestCase
{
    public function test_the_other_arm_does_not_stop_this_one_but_a_referral_does(): void
    {
        $sore = $this->day([[10, Moment::Before, Site::Shoulder, 'left', Kind::Joint, 3]]);
        $this->assertSame(Word::None, $sore->channels['arm']);
        $this->assertSame([Word::Full, Word::None], [$sore->forWork([Channel::Arm], 'right'), $sore->forWork([Channel::Arm], 'left')]);
        $blister = $this->day([[10, Moment::Before, Site::Foot, 'left', Kind::Skin, 4]]);
        $this->assertSame(
            [Word::Full, Word::None],
            [$blister->forWork([Channel::Arm, Channel::Hand, Channel::Trunk], 'right'), $blister->forWork([Channel::Landing], 'right')],
        );
        $referred = $this->day([[10, Moment::Before, Site::Elbow, 'left', Kind::Numb, 1]]);
        $this->assertSame(Word::Refer, $referred->forWork([Channel::Arm], 'right'));
        $this->assertSame(Word::Unknown, $this->day([])->forWork([Channel::Arm], 'right'), 'Nothing known is never full.');
        $elsewhere = $this->day([[9, Moment::Before, Site::Elbow, 'left', Kind::Swelling, 1]]);
        $this->assertSame(Word::Reduced, $elsewhere->forWork([Channel::Hand], 'right'));
        $this->assertSame(
            [false, true, false, false, true],
            array_map(fn (Readiness $of): bool => $of->mayCatch(), [$sore, $blister, $referred, $elsewhere, $this->day([])]),
            'a sore arm or an open referral neither feeds nor catches',
        );
    }

    public function test_a_known_condition_counts_as_reduced_within_its_bounds_and_no_further(): void
    {
        $knee = new DayContext([new KnownCondition(Site::Knee, 'left', Kind::Joint, 3, Day::of('2027-05-05'), Day::of('2027-06-01'))]);
        $word = fn (int $day, string $side, Kind $kind, int $score): Word => $this->day(
            [[$day, Moment::Morning, Site::Knee, $side, $kind, $score]],
            $knee,
            day: $day,
        )->channels['landing'];
        $this->assertSame(Word::Reduced, $word(10, 'left', Kind::Joint, 3));
        $this->assertSame(Word::None, $word(10, 'left', Kind::Joint, 4));
        $this->assertSame(Word::None, $word(10, 'right', Kind::Joint, 3));
        $this->assertSame(Word::None, $word(10, 'left', Kind::Sharp, 2));
        $this->assertSame(Word::None, $word(4, 'left', Kind::Joint, 3), 'It explains nothing away from before it was set.');
        $three = $this->day(
            [
                [8, Moment::Morning, Site::Knee, 'left', Kind::Joint, 3],
                [9, Moment::Morning, Site::Knee, 'left', Kind::Joint, 3],
                [10, Moment::Morning, Site::Knee, 'left', Kind::Joint, 3],
            ],
            $knee,
        );
        $this->assertSame(Word::Reduced, $three->channels['landing'], 'Known is not news, so it is no trend.');
        $this->expectExceptionMessage('1 to 7');
        new KnownCondition(Site::Knee, null, Kind::Joint, 8, Day::of('2027-05-05'), Day::of('2027-06-01'));
    }

    public function test_a_fever_is_none_everywhere_and_hides_no_referral(): void
    {
        $ill = new DayContext(illnesses: [new Illness(Day::of('2027-05-10'), Day::of('2027-05-10'), true)]);
        $fever = $this->day([[10, Moment::Morning, Site::None, null, Kind::Muscle, 0]], $ill);
        $this->assertSame(['none'], array_values(array_unique(array_map(fn (Word $word): string => $word->value, $fever->channels))));
        $this->assertSame(
            Word::Refer,
            $this->day([[10, Moment::Morning, Site::Wrist, 'left', Kind::Locking, 2]], $ill)->channels['hand'],
        );
    }

    public function test_in_the_strict_school_a_none_from_a_joint_holds_until_the_next_mornings_report(): void
    {
        $joint = [9, Moment::After, Site::Elbow, 'right', Kind::Joint, 2];
        $noon = [10, Moment::Before, Site::None, null, Kind::Muscle, 0];
        $morning = [10, Moment::Morning, Site::None, null, Kind::Muscle, 0];
        $holding = new DayContext(holdsOvernight: true);
        $this->assertSame(Word::None, $this->day([$joint, $noon], $holding, School::Strict)->channels['arm']);
        $this->assertSame(Word::Full, $this->day([$joint, $morning], $holding, School::Strict)->channels['arm']);
        $this->assertSame(Word::Full, $this->day([$joint, $noon], $holding, School::Graded)->channels['arm']);
        $this->assertSame(
            Word::Full,
            $this->day([$joint, $noon], null, School::Strict)->channels['arm'],
            'The rules themselves know nothing of it.',
        );
    }

    /** @param  list<array{int, Moment, Site, string|null, Kind, int}>  $reports  day of May 2027 … score */
    private function day(array $reports, ?DayContext $around = null, School $school = School::Graded, int $day = 10): Readiness
    {
        return Readiness::on(Day::of(
            sprintf('2027-05-%02d', $day),
        ), 30, array_map(fn (array $r, int $i): SorenessReport => new SorenessReport(
            Instant::of(sprintf('2027-05-%02dT08:%02d:00+02:00', $r[0], $i)), $r[1], $r[2], $r[3], $r[4], $r[5],
        ), $reports, array_keys($reports)), [], $school, $around);
    }
}
