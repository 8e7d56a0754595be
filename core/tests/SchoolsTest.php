<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Day;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\BlockKind;
use Augendo\Core\Library\Feed;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Library\SchoolQuestion;
use Augendo\Core\Library\Schools;
use Augendo\Core\Library\Tempo;
use Augendo\Core\Load\AthleteProfile;
use Augendo\Core\Load\Implement;
use PHPUnit\Framework\TestCase;

final class SchoolsTest extends TestCase
{
    private static ?Library $library = null;

    public function test_what_the_library_does_by_itself_changes_nothing(): void
    {
        $answers = [];
        foreach (SchoolQuestion::cases() as $question) {
            $answers[$question->value] = $question->answers()[0];
        }
        foreach ($this->ladders() as $ladder) {
            $this->assertSame($ladder, (new Schools($answers))->teach($ladder), $ladder->id);
            $this->assertSame([], (new Schools([]))->changes($ladder), $ladder->id);
        }
    }

    public function test_each_answer_changes_some_ladder_and_says_what(): void
    {
        foreach (SchoolQuestion::cases() as $question) {
            foreach (array_slice($question->answers(), 1) as $answer) {
                $schools = new Schools([$question->value => $answer]);
                $told = array_merge(...array_map($schools->changes(...), $this->ladders()));
                $this->assertNotSame([], $told, "{$question->value} {$answer}");
                foreach ($this->ladders() as $ladder) {
                    $same = $schools->teach($ladder) === $ladder;
                    $this->assertSame($schools->changes($ladder) === [], $same, "{$ladder->id}: told or not");
                }
            }
        }
    }

    public function test_one_flow_takes_the_stops_away_and_the_holds_stay(): void
    {
        $taught = (new Schools(['motion' => 'continuous']))->teach($this->ladder('racket-serve'));
        $tempos = array_map(fn (BlockDose $block): ?Tempo => $block->manner?->tempo, $this->blocks($taught));
        $this->assertNotContains(Tempo::Segmented, $tempos);
        $this->assertNotContains(Tempo::Counted, $tempos);
        $this->assertContains(Tempo::Held, $tempos);
        $toss = array_column($taught->rungs[2]->checkpoints, null, 'id')['toss'];
        $this->assertSame(['Toss and swing in one flow'], $toss->variants);
    }

    public function test_a_variant_is_picked_and_one_side_leaves_the_other_out(): void
    {
        $knees = fn (string $answer): array => array_column(
            (new Schools(['weight' => $answer]))->teach($this->ladder('racket-serve'))->rung('pose')->checkpoints ?? [], null, 'id',
        )['knees']->variants;
        $this->assertSame(['Weight on both legs'], $knees('both_legs'));
        $this->assertSame(['Weight mostly on the back leg'], $knees('back_leg'));
        $this->assertCount(2, $knees('either'));
        $one = (new Schools(['other_side' => 'one']))->teach($this->ladder('overhand-throw'));
        $kinds = array_map(fn (BlockDose $block): BlockKind => $block->kind, $this->blocks($one));
        $this->assertNotContains(BlockKind::OtherSide, $kinds);
    }

    public function test_hard_is_only_what_is_light_and_the_age_bounds_it_still(): void
    {
        $library = $this->library();
        $answers = ['beginners' => 'hard_light'];
        foreach ($this->ladders() as $ladder) {
            foreach ((new Schools($answers))->teach($ladder)->rungs as $i => $rung) {
                foreach ($rung->blocks as $j => $block) {
                    $before = $ladder->rungs[$i]->blocks[$j];
                    if ($block->effort !== $before->effort) {
                        $this->assertSame([Implement::Light, true], [$block->object->implement, $block->judged]);
                        $this->assertSame(Schools::HARD_EFFORT, $block->effort);
                    }
                }
            }
        }
        $on = Day::of('2027-03-15');
        $child = new AthleteProfile($on->plus(-366 * 9), schools: ['overhand-throw' => $answers]);
        $hardest = $library->doses()->at(9)->hardest;
        foreach ($this->ladder('overhand-throw')->forAthlete($child, $on, $library->doses())->rungs as $rung) {
            foreach ($rung->blocks as $block) {
                $this->assertLessThanOrEqual($hardest, $block->effort, $rung->id);
            }
        }
    }

    public function test_the_score_from_the_first_day_is_for_what_flies_and_varied_for_what_is_fed(): void
    {
        $scored = (new Schools(['outcome' => 'score_first']))->teach($this->ladder('overhand-throw'));
        $this->assertTrue($scored->rung('positions')?->outcomeIgnored, 'nothing flies');
        $this->assertFalse($scored->rung('one-knee')?->outcomeIgnored);
        foreach ((new Schools(['outcome' => 'score_first']))->teach($this->ladder('jump-landing'))->rungs as $i => $rung) {
            $this->assertSame($this->ladder('jump-landing')->rungs[$i]->outcomeIgnored, $rung->outcomeIgnored);
        }
        foreach ($this->blocks((new Schools(['repetition' => 'varied']))->teach($this->ladder('overhead'))) as $block) {
            $fed = $block->manner?->feed !== null && $block->manner->feed !== Feed::None;
            $this->assertSame($fed, $block->manner->varied ?? false, $block->title);
        }
    }

    public function test_a_profile_is_taught_by_its_ladder_alone(): void
    {
        $on = Day::of('2027-03-15');
        $profile = new AthleteProfile(null, schools: ['racket-serve' => ['other_side' => 'one']]);
        $other = fn (string $id): int => count(array_filter(
            $this->blocks($this->ladder($id)->forAthlete($profile, $on, $this->library()->doses())),
            fn (BlockDose $block): bool => $block->kind === BlockKind::OtherSide,
        ));
        $this->assertSame(0, $other('racket-serve'));
        $this->assertGreaterThan(0, $other('overhand-throw'));
    }

    public function test_what_is_no_question_or_no_answer_is_refused(): void
    {
        foreach ([['motion' => 'sideways'], ['shoes' => 'both']] as $answers) {
            try {
                new Schools($answers);
                $this->fail('refused');
            } catch (InvalidValue $refused) {
                $this->assertStringContainsString('there are', $refused->getMessage());
            }
        }
    }

    /** @return list<BlockDose> */
    private function blocks(Ladder $ladder): array
    {
        return array_merge(...array_map(fn (Rung $rung): array => $rung->blocks, $ladder->rungs));
    }

    /** @return list<Ladder> */
    private function ladders(): array
    {
        return array_map($this->library()->ladder(...), $this->library()->ladderIds());
    }

    private function ladder(string $id): Ladder
    {
        return $this->library()->ladder($id);
    }

    private function library(): Library
    {
        return self::$library ??= new Library(dirname(__DIR__, 2).'/library');
    }
}
