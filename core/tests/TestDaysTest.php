<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryProblem;
use Augendo\Core\Library\TestProtocol;
use Augendo\Core\Limits\LimitCalendar;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\LoadRecord;
use Augendo\Core\Load\SetCost;
use Augendo\Core\Load\WorkSet;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\Emphasis;
use Augendo\Core\Planning\Pace;
use Augendo\Core\Planning\Rhythm;
use Augendo\Core\Planning\SeasonAsk;
use Augendo\Core\Planning\SeasonDay;
use Augendo\Core\Planning\SeasonPlan;
use Augendo\Core\Planning\SeasonPlanner;
use Augendo\Core\Planning\Standing;
use Augendo\Core\Planning\TestsAsked;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\Word;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TestDaysTest extends TestCase
{
    /** A Monday. */
    private const FROM = '2027-03-15';

    private const WEEKS = 16;

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    public function test_a_test_day_takes_the_place_of_a_heavy_one_fresh_and_comes_again_in_six_to_eight_weeks(): void
    {
        $plan = $this->season(age: 22, effort: 0.85, last: Day::of(self::FROM)->plus(-50));
        $tests = $this->tests($plan);
        $this->assertCount(3, $tests);
        $table = $this->library->tests();
        foreach ([1, 2] as $at) {
            $between = $tests[$at]->day->daysSince($tests[$at - 1]->day);
            $this->assertGreaterThanOrEqual($table->fromDays, $between);
            $this->assertLessThanOrEqual($table->byDays + 7, $between);
        }
        foreach ($tests as $test) {
            $this->assertSame([0, 'Test day: longest throw'], [$test->ownReps(), $test->rung?->name], 'Nothing of it is evidence.');
            $this->assertGreaterThan(0.0, $test->cost('arm'));
            foreach ($plan->days as $day) {
                if ($day !== $test && $day->emphasis?->isHeavy() === true) {
                    $this->assertGreaterThanOrEqual(Rhythm::HEAVY_APART_DAYS, abs($day->day->daysSince($test->day)), $day->day->iso());
                }
            }
            $measured = $this->measured($test);
            $this->assertSame([3, 1.0], [$measured->reps, $measured->effort]);
        }
        $this->assertContains($tests[1]->week - 1, $plan->lightWeeks, 'The second is met after a lighter week.');
    }

    public function test_a_measurement_that_lapsed_asks_for_a_test_at_once(): void
    {
        $never = $this->tests($this->season(age: 22, effort: 0.85, last: null))[0];
        $lately = $this->tests($this->season(age: 22, effort: 0.85, last: Day::of(self::FROM)->plus(-10)))[0];
        $this->assertLessThan(14, $never->day->daysSince(Day::of(self::FROM)));
        $this->assertGreaterThan(28, $lately->day->daysSince(Day::of(self::FROM)));
    }

    public function test_nobody_is_tested_at_full_effort_whose_age_does_not_ask_for_it_or_who_has_not_come_near_it(): void
    {
        $this->assertSame([], $this->tests($this->season(age: 11, effort: 0.85, last: null)));
        $this->assertSame([], $this->tests($this->season(age: 22, effort: 0.5, last: null, weeks: 2)));
        $this->assertSame([], $this->tests($this->season(age: 22, effort: 0.85, last: null, asked: false)));
    }

    public function test_it_is_due_from_six_weeks_after_a_lighter_one_and_from_eight_in_any_case(): void
    {
        $table = $this->library->tests();
        $on = Day::of(self::FROM);
        $this->assertTrue($table->isDue($on, null, false));
        $this->assertFalse($table->isDue($on, $on->plus(-41), true));
        $this->assertTrue($table->isDue($on, $on->plus(-42), true));
        $this->assertFalse($table->isDue($on, $on->plus(-55), false));
        $this->assertTrue($table->isDue($on, $on->plus(-56), false));
    }

    public function test_it_is_given_with_the_word_full_alone(): void
    {
        $given = array_filter(Word::cases(), TestProtocol::isGiven(...));
        $this->assertSame([Word::Full], array_values($given));
    }

    public function test_a_side_is_behind_by_more_than_a_tenth_of_the_better_one(): void
    {
        $table = $this->library->tests();
        $this->assertNull($table->behind(30.0, 27.0));
        $this->assertEqualsWithDelta(0.2, $table->behind(24.0, 30.0), 1e-12);
        $this->assertNull($table->behind(0.0, 0.0));
    }

    public function test_what_is_measured_fits_the_skill_and_nothing_of_a_pass_is(): void
    {
        $skills = $this->library->skills();
        $names = array_map(
            fn (string $skill): ?string => $this->library->tests()->for($skills[$skill])?->measures,
            ['javelin', 'float-serve', 'jump', 'pass'],
        );
        $this->assertSame(['longest_throw_m', 'reference_speed_ms', 'jump_cm', null], $names);
    }

    /** @return iterable<string, array{\Closure(\stdClass): mixed, string}> */
    public static function mistakes(): iterable
    {
        yield 'days the wrong way round' => [fn ($file) => $file->every_days = [56, 42], '/every_days'];
        yield 'one number of days' => [fn ($file) => $file->every_days = [42], '/every_days'];
        yield 'a family nobody knows' => [fn ($file) => $file->tests[1]->families = ['swim'], '/tests/1/families/0'];
        yield 'something nobody keeps' => [fn ($file) => $file->tests[0]->measures = 'mood', '/tests/0/measures'];
        yield 'no attempt' => [fn ($file) => $file->tests[2]->attempts = 0, '/tests/2/attempts'];
        yield 'a unit nobody reads' => [fn ($file) => $file->sides[0]->unit = 'stone', '/sides/0/unit'];
        yield 'a misspelt key' => [fn ($file) => $file->side_differ = 0.2, '/side_differ'];
    }

    /** @param  \Closure(\stdClass): mixed  $break */
    #[DataProvider('mistakes')]
    public function test_a_mistake_in_the_file_is_named_with_its_place(\Closure $break, string $path): void
    {
        $folder = sys_get_temp_dir().'/tests-'.bin2hex(random_bytes(6));
        mkdir($folder);
        $file = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/library/tests.json'));
        $break($file);
        file_put_contents("{$folder}/tests.json", json_encode($file));
        try {
            (new Library($folder))->tests();
            $this->fail('It was read.');
        } catch (LibraryProblem $problem) {
            $this->assertSame(['tests.json', $path], [$problem->libraryFile, $problem->path]);
        } finally {
            unlink("{$folder}/tests.json");
            rmdir($folder);
        }
    }

    private function season(int $age, float $effort, ?Day $last, bool $asked = true, int $weeks = self::WEEKS): SeasonPlan
    {
        $from = Day::of(self::FROM);
        $profile = new AthleteProfile($from->plus(-366 * $age));
        $price = new SetCost($profile);
        $ladder = $this->library->ladder('javelin-throw')->forAthlete($profile, $from, $this->library->doses());
        $rung = $ladder->rung('lane');
        $this->assertNotNull($rung);
        $calm = Readiness::on($from, $age, [
            new SorenessReport(Instant::of(self::FROM.'T08:00:00Z'), Moment::Morning, Site::None, null, Kind::Muscle, 0),
        ], []);
        $sets = [];
        for ($back = 1; $back <= 42; $back++) {
            if (in_array($back % 7, [2, 4, 6], true)) {
                $sets[] = $price->of(new WorkSet(
                    $from->plus(-$back), "b {$back}", $ladder->skill, 20, $effort, $ladder->skill->ordinaryImplement(),
                ));
            }
        }
        $protocol = $this->library->tests()->for($ladder->skill);
        $this->assertNotNull($protocol);

        return SeasonPlanner::plan(
            ask: new SeasonAsk(
                from: $from,
                goalDay: $from->plus(7 * $weeks - 1),
                weekdays: [1, 3, 5],
                goalRung: null,
                tests: $asked ? new TestsAsked($this->library->tests(), $protocol, $last) : null,
            ),
            ladder: $ladder,
            standing: new Standing($rung->id, 3, Pace::at(10, $effort, null), $this->library->doses()->at($age)),
            price: $price,
            record: new LoadRecord($sets),
            limits: new LimitCalendar($this->library->ruleSet('starter')->limits, $profile),
            throwing: Handedness::Right,
            today: $calm,
            calm: $calm,
        );
    }

    /** @return list<SeasonDay> */
    private function tests(SeasonPlan $plan): array
    {
        return array_values(array_filter($plan->days, fn (SeasonDay $day): bool => $day->emphasis === Emphasis::Test));
    }

    private function measured(SeasonDay $day): BlockPlan
    {
        foreach ($day->built->blocks ?? [] as $block) {
            if ($block->asked->kind === BlockKind::Whole) {
                return $block;
            }
        }
        $this->fail('Nothing is measured.');
    }
}
