<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Instant;
use Augendo\Core\Load\Channel;
use Augendo\Core\Readiness\DayContext;
use Augendo\Core\Readiness\Kind;
use Augendo\Core\Readiness\KnownCondition;
use Augendo\Core\Readiness\Moment;
use Augendo\Core\Readiness\Readiness;
use Augendo\Core\Readiness\School;
use Augendo\Core\Readiness\Site;
use Augendo\Core\Readiness\SorenessClearance;
use Augendo\Core\Readiness\SorenessReport;
use Augendo\Core\Readiness\StopTable;
use Augendo\Core\Readiness\Word;
use PHPUnit\Framework\TestCase;

/** The table a device without a connection stops by says what the core would say of the same report. */
final class StopTableTest extends TestCase
{
    private const ON = '2027-05-20';

    public function test_of_every_place_kind_moment_and_score_it_says_what_readiness_says(): void
    {
        $on = Day::of(self::ON);
        $earlier = [
            $this->report('2027-05-18T18:00:00Z', Site::Elbow, 'right', Kind::Joint, 3),
            $this->report('2027-05-19T18:00:00Z', Site::Elbow, 'right', Kind::Joint, 2),
            $this->report('2027-05-20T07:00:00Z', Site::Knee, 'left', Kind::Muscle, 2),
        ];
        $known = new KnownCondition(Site::Shoulder, 'right', Kind::Muscle, 4, $on->plus(-20), $on->plus(20));
        foreach ([[School::Graded, 16], [School::Strict, 16], [null, 12]] as [$school, $age]) {
            foreach ([new DayContext, new DayContext(conditions: [$known])] as $around) {
                $table = StopTable::of($on, $age, $earlier, [], $school, $around);
                $this->assertTableIs($table, fn (SorenessReport $report): Readiness => Readiness::on(
                    $on, $age, [...$earlier, $report], [], $school, $around,
                ), fn (): Readiness => Readiness::on($on, $age, $earlier, [], $school, $around));
            }
        }
    }

    public function test_places_are_every_site_with_its_sides_and_none_of_nowhere(): void
    {
        $table = StopTable::of(Day::of(self::ON), 16, [], [], School::Graded, new DayContext);
        $this->assertNotContains(Site::None, array_column($table->places, 0));
        $sides = array_column(array_filter($table->places, fn (array $place): bool => $place[0] === Site::Shoulder), 1);
        $this->assertSame(['left', 'right', null], $sides);
        $this->assertCount(
            array_sum(array_map(fn (Site $site): int => $site === Site::None ? 0 : ($site->hasSides() ? 3 : 1), Site::cases())),
            $table->places,
        );
    }

    public function test_a_clearance_of_yesterday_does_not_cover_what_would_be_reported_now(): void
    {
        $on = Day::of(self::ON);
        $swollen = $this->report('2027-05-18T18:00:00Z', Site::Ankle, 'left', Kind::Swelling, 3);
        $clearance = new SorenessClearance(Instant::of('2027-05-19T09:00:00Z'), null);
        $table = StopTable::of($on, 16, [$swollen], [$clearance], School::Graded, new DayContext);
        $at = array_search([Site::Ankle, 'left'], $table->places, true);
        $this->assertIsInt($at);
        $refers = $table->from(Word::Refer, Moment::During, Kind::Swelling, [Channel::Landing], 'left');
        $this->assertSame('1', $refers[$at], 'swollen once more: at once');
    }

    public function test_moments_are_read_as_the_three_that_differ(): void
    {
        $read = array_map(fn (Moment $moment): Moment => StopTable::readsAs($moment), Moment::cases());
        foreach (Moment::cases() as $i => $moment) {
            $this->assertSame(in_array($moment, StopTable::MOMENTS, true) ? $moment : Moment::Before, $read[$i]);
        }
    }

    /**
     * @param  callable(SorenessReport): Readiness  $with  the report
     * @param  callable(): Readiness  $without
     */
    private function assertTableIs(StopTable $table, callable $with, callable $without): void
    {
        foreach ([[Moment::Before, Kind::Muscle], [Moment::Warmup, Kind::Joint], [Moment::During, Kind::Sharp]] as [$moment, $kind]) {
            foreach ([[Channel::Arm], [Channel::Landing, Channel::Trunk]] as $loaded) {
                foreach ([Word::None, Word::Refer] as $word) {
                    $from = $table->from($word, $moment, $kind, $loaded, 'right');
                    $this->assertSame(count($table->places), strlen($from));
                    foreach ($table->places as $i => [$site, $side]) {
                        if ($i % 3 !== 0) {
                            continue;
                        }
                        $least = $from[$i] === '-' ? 11 : (int) base_convert($from[$i], 36, 10);
                        foreach (range(0, 10) as $score) {
                            $report = $this->report('2027-05-20T23:59:59Z', $site, $side, $kind, $score, $moment);
                            $says = $with($report)->forWork($loaded, 'right')->rank() >= $word->rank();
                            $saidBefore = $without()->forWork($loaded, 'right')->rank() >= $word->rank();
                            if (! $saidBefore) {
                                $this->assertSame(
                                    $score >= $least, $says, "{$moment->value} {$kind->value} {$site->value} {$side} {$score}",
                                );
                            }
                        }
                    }
                }
            }
        }
    }

    private function report(
        string $at, Site $site, ?string $side, Kind $kind, int $score, Moment $moment = Moment::During,
    ): SorenessReport {
        return new SorenessReport(at: Instant::of($at), moment: $moment, site: $site, side: $side, kind: $kind, score: $score);
    }
}
