<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\DoseShares;
use Augendo\Core\Library\DoseTable;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\AthleteProfile;
use PHPUnit\Framework\TestCase;

final class DoseTableTest extends TestCase
{
    public function test_the_row_of_the_age_holds_and_who_is_not_known_gets_the_least_of_each(): void
    {
        $table = new DoseTable(
            [19 => new DoseShares(1.0, 0.8, 2.5), 9 => new DoseShares(0.7, 0.5, 0.9), 40 => new DoseShares(1.0, 0.4, 2.0)],
            'test',
        );
        $this->assertSame(0.7, $table->at(9)->asked);
        $this->assertSame(0.7, $table->at(18)->asked);
        $this->assertSame(2.5, $table->at(39)->most);
        $this->assertSame(2.0, $table->at(90)->most);
        foreach ([null, 8] as $age) {
            $least = $table->at($age);
            $this->assertSame([0.7, 0.4, 0.9], [$least->asked, $least->begun, $least->most]);
        }
    }

    public function test_shares_out_of_order_and_an_empty_table_are_refused(): void
    {
        foreach ([[0.5, 0.6, 1.0], [1.0, 0.8, 0.9], [1.0, 0.0, 1.0]] as $shares) {
            try {
                new DoseShares(...$shares);
                $this->fail('refused');
            } catch (InvalidValue $wrong) {
                $this->assertStringContainsString('begun is above 0', $wrong->getMessage());
            }
        }
        $this->expectException(InvalidValue::class);
        new DoseTable([], 'test');
    }

    public function test_a_child_does_less_of_every_rung_and_the_rehearsal_stays(): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $on = Day::of('2027-03-15');
        $asked = fn (BlockDose $block): int => $block->sets * $block->reps;
        foreach ($library->ladderIds() as $id) {
            $ladder = $library->ladder($id);
            $of = fn (int $age) => $ladder->forAthlete(new AthleteProfile($on->plus(-366 * $age)), $on, $library->doses());
            foreach ($ladder->rungs as $r => $rung) {
                foreach ($rung->blocks as $b => $block) {
                    [$child, $adult] = [$of(7)->rungs[$r]->blocks[$b], $of(25)->rungs[$r]->blocks[$b]];
                    $this->assertSame($asked($block), $asked($adult), "{$id} {$rung->id}: what is asked of adults is the page");
                    $this->assertLessThanOrEqual($asked($child), $child->repsMin);
                    if ($block->kind === BlockKind::Rehearsal) {
                        $this->assertSame($asked($block), $asked($child));
                    } elseif ($asked($block) > 3) {
                        $this->assertLessThan($asked($block), $asked($child), "{$id} {$rung->id} {$block->title}");
                        $this->assertGreaterThan(0, $asked($child));
                    }
                }
            }
        }
    }

    public function test_a_child_is_asked_for_no_more_effort_than_the_table_says_and_an_adult_for_the_page(): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $on = Day::of('2027-03-15');
        $hardest = function (?int $age) use ($library, $on): float {
            $profile = new AthleteProfile($age === null ? null : $on->plus(-366 * $age));
            $rungs = $library->ladder('volleyball-float-serve')->forAthlete($profile, $on, $library->doses())->rungs;
            foreach ($rungs as $rung) {
                $this->assertLessThanOrEqual($rung->ownDose()->effort, $rung->ownDose()->effortMin);
            }

            return max(array_map(fn ($rung): float => $rung->ownDose()->effort, $rungs));
        };
        $this->assertSame([0.75, 0.85, 0.95, 0.75], [$hardest(7), $hardest(10), $hardest(25), $hardest(null)]);
        $this->expectExceptionMessage('An effort of 1.2 is not above 0');
        new DoseShares(1.0, 0.8, 1.0, 1.2);
    }

    public function test_a_dose_is_scaled_by_sets_upwards_and_by_repetitions_of_a_set_downwards(): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $dose = $library->ladder('overhand-throw')->rungs[0]->ownDose()->with(['sets' => 3, 'reps' => 8, 'repsMin' => 12]);
        $expected = [[0.5, 3, 4, 6], [0.7, 3, 6, 9], [1.0, 3, 8, 12], [1.2, 3, 10, 12], [2.0, 6, 8, 12], [2.5, 7, 9, 12]];
        foreach ($expected as [$share, $sets, $reps, $least]) {
            $scaled = $dose->scaled($share);
            $this->assertSame([$sets, $reps, $least], [$scaled->sets, $scaled->reps, $scaled->repsMin], "times {$share}");
        }
        $this->assertSame(0, $dose->with(['reps' => 0])->scaled(2.0)->reps);
    }
}
