<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\Library;
use Augendo\Core\Limits\Covers;
use Augendo\Core\Limits\DatedLimits;
use Augendo\Core\Limits\Limit;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\CostedSet;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Readiness\Closing;
use Augendo\Core\Readiness\DayContext;
use Augendo\Core\Readiness\IllAnswer;
use Augendo\Core\Readiness\Illness;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use PHPUnit\Framework\TestCase;

/** Days away, days ill, and what a clinician restricts: what holds on which day. */
final class DatedLimitsTest extends TestCase
{
    private const MONDAY = '2027-05-10';

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    public function test_nobody_does_anything_while_away_and_everything_on_the_day_after(): void
    {
        $away = DatedLimits::nothing('a', 'Away', 'Calendar', $this->day(1), $this->day(3));
        $this->assertTrue($away->isAll());
        $this->assertSame([null, 0, 0, 0, null], array_map(fn (int $d): ?int => $this->left($d, [$away], 'float-serve', 0.5), range(0, 4)));
        $this->assertSame(0, $this->left(2, [$away], 'footwork', 0.3), 'not even footwork');
        $board = $this->calendar([$away])->board($this->day(2), $this->nothing());
        $shadow = $this->costed($this->day(2), 'float-serve', 0.3, 'nothing');
        $this->assertSame(0, $board->headroom($shadow, [])->reps, 'not even without a ball');
    }

    public function test_a_restriction_is_nothing_first_and_then_easier_and_fewer_of_what_it_covers(): void
    {
        $overhead = Covers::Overhead->skills($this->library->skills());
        $none = DatedLimits::nothing('r', 'No overhead', 'Dr. Reed', $this->day(0), $this->day(2), $overhead);
        $then = DatedLimits::easier('r:then', 'At most 60 %', 'Dr. Reed', $this->day(3), $this->day(9), 0.6, 20, $overhead);
        $this->assertFalse($none->isAll(), 'it is about overhead work alone');
        $both = [$none, $then];
        $this->assertSame(0, $this->left(2, $both, 'float-serve', 0.3));
        $this->assertNull($this->left(2, $both, 'jump', 0.5), 'jumping goes on');
        $this->assertSame([20, 0], [$this->left(3, $both, 'float-serve', 0.6), $this->left(3, $both, 'float-serve', 0.75)]);
        $this->assertNull($this->left(10, $both, 'float-serve', 1.0));
        $covered = fn (Covers $covers): ?int => $this->left(
            0, [DatedLimits::nothing('c', 'c', 'c', $this->day(0), $this->day(0), $covers->skills($this->library->skills()))], 'jump', 0.5,
        );
        $this->assertSame(
            [0, null, null, 0],
            array_map($covered, [Covers::All, Covers::Overhead, Covers::Arm, Covers::Landings]),
        );
    }

    public function test_it_holds_on_the_days_of_a_match_and_after_a_return_as_well(): void
    {
        $away = DatedLimits::nothing('a', 'Away', 'Calendar', $this->day(0), $this->day(0));
        $calendar = new LimitCalendar([], $this->anybody(), matchDays: [$this->day(0)->ordinal], dated: [$away]);
        $limits = $calendar->on($this->day(0), $this->nothing());
        $this->assertSame([true, true], array_map(fn (Limit $limit): bool => $limit->isHard() && DatedLimits::isOne($limit), $limits));
    }

    public function test_what_cannot_be_is_refused(): void
    {
        foreach ([
            fn () => DatedLimits::nothing('a', 'a', 'a', $this->day(1), $this->day(0)),
            fn () => DatedLimits::easier('a', 'a', 'a', $this->day(0), $this->day(1), null, null),
            fn () => new Illness($this->day(1), $this->day(0), true),
        ] as $nonsense) {
            try {
                $nonsense();
                $this->fail('refused');
            } catch (InvalidValue $refused) {
                $this->assertNotSame('', $refused->getMessage());
            }
        }
    }

    public function test_after_a_fever_a_whole_day_without_it_then_two_small_days_then_two_light_ones(): void
    {
        $ill = new Illness($this->day(0), $this->day(2), true, $this->day(2));
        $words = fn (Illness $of, int $days): string => implode(' ', array_map(
            fn (int $day): string => $this->on($day, $of)->word->value, range(0, $days),
        ));
        $this->assertSame('none none none none unknown unknown reduced reduced full', $words($ill, 8));
        $this->assertSame([true, true, false], array_map(fn (int $day): bool => $this->on($day, $ill)->isIll(), [2, 3, 4]));
        $this->assertTrue($this->on(4, $ill)->trainsAsUnknown(), 'no gate moves');
        $this->assertFalse($this->on(6, $ill)->trainsAsUnknown());
        $long = new Illness($this->day(0), $this->day(6), true, $this->day(6));
        $this->assertSame('none unknown unknown unknown unknown reduced reduced reduced reduced full', substr($words($long, 16), 7 * 5));
        $cold = new Illness($this->day(0), $this->day(1), false, $this->day(1));
        $this->assertSame('reduced reduced full', $words($cold, 2));
        // Nobody said that it is over: a fever lasts, a cold ends as expected.
        $open = new Illness($this->day(0), $this->day(1), true);
        $this->assertSame('none none none none', $words($open, 3));
        $this->assertSame('reduced reduced full', $words(new Illness($this->day(0), $this->day(1), false), 2));
        $this->assertSame('none none none unknown unknown reduced reduced full', $words($open->asExpected($this->day(0)), 7));
        $this->assertSame('none none none none none unknown', $words($open->asExpected($this->day(3)), 5), 'not before today');
        $this->assertSame(9, Illness::WAY_BACK_MOST_DAYS);
    }

    public function test_an_answer_begins_a_fever_ends_it_or_takes_it_back(): void
    {
        $says = fn (?int $since, bool $opened, int $on, bool $fever): IllAnswer => Illness::answered(
            $since === null ? null : $this->day($since), $opened, $this->day($on), $fever,
        );
        $this->assertSame(IllAnswer::Opens, $says(null, false, 0, true));
        $this->assertSame(IllAnswer::ChangesNothing, $says(0, true, 1, true), 'still ill');
        $this->assertSame(IllAnswer::ChangesNothing, $says(null, false, 0, false));
        $this->assertSame(IllAnswer::TakesBack, $says(0, true, 0, false), 'answered wrongly a moment ago');
        $this->assertSame(IllAnswer::ChangesNothing, $says(0, false, 0, false), 'what a coach entered no answer of the day takes back');
        $this->assertSame(IllAnswer::Ends, $says(0, false, 1, false));
        $this->assertSame(IllAnswer::ChangesNothing, $says(2, true, 1, false), 'an answer of before');
    }

    public function test_planned_ahead_without_a_fever_it_is_light_work_until_it_ends(): void
    {
        $dated = DatedLimits::ofIllness(new Illness($this->day(0), $this->day(1), false), $this->day(4), 'i', 'A cold', 'Calendar');
        $this->assertSame([null, 0], [$this->left(1, $dated, 'float-serve', 0.75), $this->left(1, $dated, 'float-serve', 0.85)]);
        $this->assertNull($this->left(2, $dated, 'float-serve', 1.0));
        $before = new Illness($this->day(3), $this->day(4), true, $this->day(1));
        $this->assertSame([], DatedLimits::ofIllness($before, $this->day(4), 'i', 'i', 'i'), 'over before it began');
    }

    public function test_what_is_planned_ahead_knows_the_illness_and_its_way_back(): void
    {
        $dated = DatedLimits::ofIllness(new Illness($this->day(0), $this->day(1), true), $this->day(0), 'i', 'Ill', 'Calendar');
        $most = fn (int $day): float => max([0.0, ...array_filter(
            [1.0, 0.75, 0.5, 0.3],
            fn (float $effort): bool => $this->left($day, $dated, 'float-serve', $effort) !== 0,
        )]);
        $this->assertSame([0.0, 0.0, 0.0, 0.5, 0.5, 0.75, 0.75, 1.0], array_map($most, range(0, 7)));
    }

    public function test_an_incident_is_closed_when_the_right_people_know(): void
    {
        $missing = fn (bool $head, bool $open, ?int $age, bool $told): array => Closing::missing($head, $open, $age, $told);
        $this->assertSame([Closing::TellGuardian], $missing(false, false, 12, false));
        $this->assertSame([Closing::TellGuardian], $missing(false, false, null, false), 'an age nobody knows is that of a child');
        $this->assertSame([Closing::TellSomebody, Closing::ClearHead], $missing(true, true, 18, false));
        $this->assertSame([Closing::ClearHead], $missing(true, true, 12, true));
        $this->assertSame([], $missing(true, false, 12, true));
        $this->assertSame([], $missing(false, true, 12, true), 'another head knock is not this one');
    }

    private function on(int $day, Illness $ill): Readiness
    {
        $fine = new SorenessReport(
            Instant::of($this->day($day)->iso().'T08:00:00Z'), Moment::Morning, Site::None, null, Kind::Muscle, 0,
        );

        return Readiness::on($this->day($day), 20, [$fine], [], School::Graded, new DayContext(illnesses: [$ill]));
    }

    /** @param  list<DatedLimits>  $dated */
    private function left(int $day, array $dated, string $skill, float $effort): ?int
    {
        $board = $this->calendar($dated)->board($this->day($day), $this->nothing());

        return $board->headroom($this->costed($this->day($day), $skill, $effort), [])->reps;
    }

    private function costed(Day $on, string $skill, float $effort, ?string $object = null): CostedSet
    {
        $set = $object === null
            ? WorkSet::ordinarily($on, 's', $this->library->skills()[$skill], 1, $effort)
            : new WorkSet($on, 's', $this->library->skills()[$skill], 1, $effort, $this->library->objects()[$object]->implement);

        return (new SetCost($this->anybody()))->of($set);
    }

    /** @param  list<DatedLimits>  $dated */
    private function calendar(array $dated): LimitCalendar
    {
        return new LimitCalendar([], $this->anybody(), dated: $dated);
    }

    private function anybody(): AthleteProfile
    {
        return new AthleteProfile(null);
    }

    private function nothing(): LoadRecord
    {
        return new LoadRecord([]);
    }

    private function day(int $after): Day
    {
        return Day::of(self::MONDAY)->plus($after);
    }
}
