<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\AthleteProfile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The doses of a ladder for one athlete: shares of their own longest throw, objects of their age. */
final class OwnDoseTest extends TestCase
{
    private const ON = '2027-05-10';

    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(dirname(__DIR__, 2).'/library');
    }

    public function test_a_distance_is_a_share_of_the_longest_throw_and_its_least_goes_with_it(): void
    {
        $dose = $this->own('javelin-throw', 'three-step');
        $this->assertSame([18.0, 12.0, 0.55], [$dose->distanceM, $dose->distanceMinM, $dose->distanceShare]);
        $of = fn (?float $longest): array => $this->distances($dose->forAthlete($this->profile(20, $longest), Day::of(self::ON)));
        $this->assertSame([22.5, 15.0], $of(41.0), '0.55 of 41 m, in halves');
        $this->assertSame([7.5, 5.0], $of(14.0));
        $this->assertSame([2.0, 2.0], $of(2.0), 'never none');
        $this->assertSame([18.0, 12.0], $of(null), 'without a longest throw the metres of the ladder');
    }

    public function test_metres_that_are_meant_stay_and_so_do_those_of_another_skill(): void
    {
        $goal = $this->own('handball-standing-throw', 'three');
        $far = new AthleteProfile(null, ['handball-standing-throw' => 50.0]);
        $this->assertSame([9.0, 6.0], $this->distances($goal->forAthlete($far, Day::of(self::ON))));
        $javelin = $this->own('javelin-throw', 'three-step');
        $this->assertSame([18.0, 12.0], $this->distances($javelin->forAthlete($far, Day::of(self::ON))));
    }

    /** @return list<array{string, string, int|null, string}> ladder, rung, age, object */
    public static function objects(): array
    {
        return [
            ['javelin-throw', 'five-step', 11, 'ball-javelin-400'],
            ['javelin-throw', 'five-step', 12, 'javelin-500'],
            ['javelin-throw', 'five-step', 13, 'javelin-500'],
            ['javelin-throw', 'five-step', 14, 'javelin-600'],
            ['javelin-throw', 'five-step', null, 'ball-javelin-400'],
            ['volleyball-float-serve', 'line', 12, 'volleyball-light'],
            ['volleyball-float-serve', 'line', 13, 'volleyball'],
            ['handball-standing-throw', 'three', 9, 'handball-1'],
            ['shot', 'full-stay', 13, 'shot-light'],
        ];
    }

    #[DataProvider('objects')]
    public function test_an_object_follows_age_and_an_age_nobody_knows_is_the_youngest(
        string $ladder, string $rung, ?int $age, string $object,
    ): void {
        $own = $this->own($ladder, $rung)->forAthlete($this->profile($age, null), Day::of(self::ON));
        $this->assertSame($object, $own->object->id);
    }

    public function test_a_hand_too_small_for_it_gets_the_smaller_one_after_the_age_and_one_nobody_measured_changes_nothing(): void
    {
        $ball = fn (?int $age, ?float $spanCm): string => $this->own('handball-standing-throw', 'three')
            ->forAthlete($this->profile($age, null, $spanCm), Day::of(self::ON))->object->id;
        $this->assertSame('handball-2', $ball(20, null));
        $this->assertSame('handball-2', $ball(20, 17.5), 'it spans as much as is asked');
        $this->assertSame('handball-1', $ball(20, 17.4));
        $this->assertSame('handball-1', $ball(9, 16.0), 'the one of that age already');
        $this->assertSame('soft-ball', $ball(9, 14.0), 'too large for a hand of that age');
        $this->assertSame('handball-1', $ball(null, 15.0), 'the hand is known and the age is not');
    }

    public function test_no_share_asks_more_of_an_athlete_than_the_effort_beside_it(): void
    {
        foreach ($this->library->ladderIds() as $id) {
            foreach ($this->library->ladder($id)->rungs as $rung) {
                foreach ($rung->blocks as $block) {
                    $this->assertLessThanOrEqual($block->effort, $block->distanceShare ?? 0.0, "{$id} {$rung->id} {$block->title}");
                }
            }
        }
    }

    private function own(string $ladder, string $rung): BlockDose
    {
        return $this->library->ladder($ladder)->rung($rung)?->ownDose() ?? throw new \LogicException;
    }

    /** @return array{float|null, float|null} asked and least, metres */
    private function distances(BlockDose $dose): array
    {
        return [$dose->distanceM, $dose->distanceMinM];
    }

    private function profile(?int $age, ?float $javelinM, ?float $spanCm = null): AthleteProfile
    {
        $born = $age === null ? null : Day::of((2027 - $age).'-01-02');

        return new AthleteProfile(
            $born, $javelinM === null ? [] : ['javelin' => $javelinM], handSpanCm: $spanCm, sizes: $this->library->sizes(),
        );
    }
}
