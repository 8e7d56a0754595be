<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Ladder;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Schools;
use Augendo\Core\Load\Channel;
use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Ladders done from a chair. */
final class SeatedTest extends TestCase
{
    private const ON_THE_FEET = '/\b(feet|foot|stand|standing|step|jog|skip|walk|knee|kneeling|lunge)s?\b/i';

    private Library $library;

    private Schools $chair;

    protected function setUp(): void
    {
        $this->library = new Library(__DIR__.'/../../library');
        $this->chair = new Schools(['seat' => 'chair']);
    }

    public function test_every_ladder_that_says_how_can_be_climbed_from_foot_to_top(): void
    {
        $climbed = 0;
        foreach ($this->ladders() as $ladder) {
            $taught = $this->chair->teach($ladder);
            if ($ladder->seated === null) {
                $this->assertSame($ladder, $taught, "{$ladder->id} is done on the feet alone");

                continue;
            }
            $climbed++;
            foreach ($taught->rungs as $i => $rung) {
                $where = "{$ladder->id} {$rung->id}";
                $before = $ladder->rungs[$i];
                $this->assertNotSame([], $rung->checkpoints, "{$where}: something is looked at");
                $this->assertNotSame([], $rung->faults, "{$where}: something is mended");
                $this->assertSame([], array_intersect(array_column($rung->checkpoints, 'id'), $ladder->seated->without), $where);
                $this->assertSame($ladder->seated->setUp, $rung->teaching?->setUp, $where);
                $this->assertSame(['set_up', 'alone', 'group'], array_keys($rung->teaching?->parts() ?? []), $where);
                foreach ($rung->faults as $fault) {
                    $mended = "{$fault->drill}. {$fault->how}";
                    $this->assertDoesNotMatchRegularExpression(self::ON_THE_FEET, $mended, "{$where} {$fault->id}");
                    $this->assertNull($fault->picture, 'nobody is drawn standing');
                }
                foreach ($rung->blocks as $j => $block) {
                    $this->assertDoesNotMatchRegularExpression(self::ON_THE_FEET, $block->text, "{$where} {$block->title}");
                    $this->assertNotContains(Channel::Landing, $block->loads ?? [Channel::Landing]);
                    // What it costs is that of the skill: only the words and what is looked at are others.
                    $this->assertEquals($this->cost($before->blocks[$j]), $this->cost($block), $where);
                }
                $words = str_word_count((string) $rung->seated);
                $this->assertTrue($words >= 5 && $words <= 30, "{$where}: {$words} words");
            }
        }
        $this->assertSame(7, $climbed);
    }

    public function test_what_can_hurt_is_looked_at_whatever_it_belongs_to(): void
    {
        foreach ($this->ladders() as $ladder) {
            foreach ($this->chair->teach($ladder)->rungs as $i => $rung) {
                $hurts = fn (array $faults): array => array_column(array_filter($faults, fn ($fault): bool => $fault->safety), 'id');
                $this->assertEquals($hurts($ladder->rungs[$i]->faults), $hurts($rung->faults), "{$ladder->id} {$rung->id}");
            }
        }
    }

    public function test_a_fault_that_cannot_happen_there_is_no_fault_and_the_others_are_mended_from_the_chair(): void
    {
        $standing = $this->library->ladder('discus')->rung('full-swap');
        $seated = $this->chair->teach($this->library->ladder('discus'))->rung('full-swap');
        $this->assertContains('early-swap', array_column($standing->faults ?? [], 'id'));
        $this->assertNotContains('early-swap', array_column($seated->faults ?? [], 'id'));
        $draw = $this->chair->teach($this->library->ladder('overhand-throw'))->rung('one-knee');
        $elbow = array_column($draw->faults ?? [], null, 'id')['low-elbow'];
        $this->assertSame('Elbow over a rope', $elbow->drill);
        $this->assertStringContainsString('beside the chair', (string) $elbow->how);
        $this->assertNotNull($elbow->dose, 'its dose is that of the fault');
    }

    public function test_what_sitting_changes_is_told_and_standing_up_again_too(): void
    {
        $shot = $this->library->ladder('shot');
        $told = array_map(
            fn ($change): string => "{$change->what} {$change->before} {$change->after}", $this->chair->changes($shot),
        );
        $this->assertSame(count($shot->rungs), count(array_keys($told, 'seat standing chair', true)));
        $this->assertContains('looked_at yes no', $told);
        $back = (new Schools([]))->against($this->chair, $shot);
        $this->assertSame(['chair', 'standing'], [$back[0]->before, $back[0]->after]);
        $this->assertCount(count($told), $back);
    }

    /** @return iterable<string, array{Closure(array<string, mixed>): array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'a rung that does not say' => [function (array $file): array {
            unset($file['rungs'][2]['seated']);

            return $file;
        }, '/rungs/2/seated'];
        yield 'a ladder that does not say' => [function (array $file): array {
            unset($file['seated']);

            return $file;
        }, '/rungs/0/seated'];
        yield 'a checkpoint nobody has' => [
            fn (array $file): array => array_replace_recursive($file, ['seated' => ['without' => ['wings']]]), '/seated/without/0',
        ];
        yield 'a drill for a fault nobody has' => [
            fn (array $file): array => array_replace_recursive($file, ['seated' => ['drills' => ['wobbles' => null]]]),
            '/seated/drills/wobbles',
        ];
        yield 'what can hurt, left out' => [
            fn (array $file): array => array_replace_recursive($file, ['seated' => ['drills' => ['wrist' => null]]]),
            '/seated/drills/wrist',
        ];
        yield 'a drill that is not written out' => [
            fn (array $file): array => array_replace_recursive($file, ['seated' => ['drills' => ['drops' => ['drill' => 'Wall']]]]),
            '/seated/drills/drops/how',
        ];
        yield 'nothing left to look at' => [
            fn (array $file): array => array_replace_recursive($file, ['seated' => ['without' => ['neck', 'leg', 'push']]]),
            '/rungs/0/checkpoints',
        ];
    }

    /** @param  Closure(array<string, mixed>): array<string, mixed>  $change */
    #[DataProvider('wrong')]
    public function test_half_a_chair_is_refused_with_its_place(Closure $change, string $place): void
    {
        $file = json_decode((string) file_get_contents(__DIR__.'/../../library/ladders/shot.json'), true);
        try {
            $this->library->readLadder(Node::parse((string) json_encode($change($file))));
            $this->fail('refused');
        } catch (CaseError $refused) {
            $this->assertSame($place, $refused->path);
        }
    }

    /** @return list<mixed> */
    private function cost(BlockDose $block): array
    {
        return [$block->skill, $block->object, $block->side, $block->sets, $block->reps, $block->effort, $block->distanceM, $block->legs];
    }

    /** @return list<Ladder> */
    private function ladders(): array
    {
        return array_map($this->library->ladder(...), $this->library->ladderIds());
    }
}
