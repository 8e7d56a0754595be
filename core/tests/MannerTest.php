<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\InvalidValue;
use Augendo\Core\Library\DoseReader;
use Augendo\Core\Library\Feed;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Manner;
use Augendo\Core\Library\SchoolQuestion;
use Augendo\Core\Library\Tempo;
use Augendo\Core\Scoring\Round;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MannerTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'counted without beats' => [['tempo' => 'counted'], 'says its beats'];
        yield 'beats without a count' => [['tempo' => 'held', 'counts' => ['one', 'two']], 'says its beats'];
        yield 'one beat' => [['tempo' => 'counted', 'counts' => ['one']], '2 to 6 beats'];
        yield 'too many beats' => [['tempo' => 'counted', 'counts' => ['a', 'b', 'c', 'd', 'e', 'f', 'g']], '2 to 6 beats'];
        yield 'varied without a feed' => [['varied' => true], 'Only a feed can be varied'];
        yield 'no feed, and varied' => [['feed' => 'none', 'varied' => true], 'Only a feed can be varied'];
        yield 'a game that is none' => [['play' => 'tag zones=4'], 'is no round'];
        yield 'a game with too many zones' => [['play' => 'target_round zones=40 balls=5 points=5'], 'between 1 and 12'];
        yield 'a game on a court' => [['play' => 'in_a_row on=volleyball:whole'], 'no court and no goal'];
        yield 'marks nearer than they are wide' => [['target_m' => 2.0, 'spread_m' => 1.0], 'at least as far apart'];
        yield 'a game with a goal' => [['play' => 'in_a_row goal=5'], 'no court and no goal'];
    }

    /** @param  array<string, mixed>  $manner */
    #[DataProvider('wrong')]
    public function test_what_does_not_go_together_is_refused_at_its_place_in_the_file(array $manner, string $says): void
    {
        try {
            $this->read($manner);
            $this->fail('refused');
        } catch (CaseError $refused) {
            $this->assertStringContainsString($says, $refused->getMessage());
            $this->assertSame('/rungs/1/blocks/2', $refused->path);
        }
    }

    public function test_nothing_said_is_nothing_and_what_is_said_is_kept_as_it_was(): void
    {
        $this->assertNull($this->read([]));
        $none = $this->read(['feed' => 'none']);
        $this->assertSame(Feed::None, $none?->feed, 'no feed is something said');
        $kept = [
            'feed' => 'coach', 'varied' => true, 'tempo' => 'counted', 'counts' => ['set', 'aim', 'throw'],
            'play' => 'target_round zones=4 balls=5 points=5', 'eyes_shut' => true, 'alternates' => true, 'target_m' => 0.5,
            'spread_m' => 4.0,
        ];
        $this->assertSame($kept, $this->read($kept)?->kept());
        $this->assertEquals($this->read($kept), Manner::of($kept));
        $blank = ['feed' => null, 'varied' => false, 'tempo' => null, 'counts' => [], 'play' => null];
        $this->assertEquals(new Manner, Manner::of($blank), 'as the version before kept it');
        $more = ['eyes_shut' => false, 'alternates' => false, 'target_m' => null, 'spread_m' => null];
        $this->assertSame([...$blank, ...$more], (new Manner)->kept());
    }

    public function test_a_copy_is_looked_at_like_any_other(): void
    {
        $counted = new Manner(tempo: Tempo::Counted, counts: ['one', 'two']);
        $this->assertSame([], $counted->with(['tempo' => Tempo::Continuous, 'counts' => []])->counts);
        $this->expectException(InvalidValue::class);
        $counted->with(['tempo' => Tempo::Continuous]);
    }

    public function test_every_block_that_ships_is_kept_and_read_again_as_it_is(): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $games = 0;
        foreach ($library->ladderIds() as $id) {
            foreach ($library->ladder($id)->rungs as $rung) {
                foreach ($rung->blocks as $block) {
                    if ($block->manner === null) {
                        continue;
                    }
                    $this->assertEquals($block->manner, Manner::of($block->manner->kept()), "{$id}, {$rung->id}");
                    $games += $block->manner->play === null ? 0 : 1;
                    if ($block->manner->play !== null) {
                        $this->assertSame($block->manner->play, Round::read($block->manner->play)->setup());
                    }
                }
            }
        }
        $this->assertGreaterThan(15, $games);
    }

    public function test_a_checkpoint_with_a_school_has_a_variant_for_each_answer_that_picks_one(): void
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $asked = [];
        foreach ($library->ladderIds() as $id) {
            foreach ($library->ladder($id)->rungs as $rung) {
                foreach ($rung->checkpoints as $checkpoint) {
                    foreach ($checkpoint->school?->answers() ?? [] as $answer) {
                        $place = $checkpoint->school?->variant($answer);
                        $asked[$checkpoint->school->value ?? ''] = true;
                        $this->assertTrue($place === null || isset($checkpoint->variants[$place]), "{$id}, {$checkpoint->id}, {$answer}");
                    }
                }
            }
        }
        ksort($asked);
        $this->assertSame(['front_arm', 'motion', 'weight'], array_keys($asked));
        $this->assertNull(SchoolQuestion::OtherSide->variant('one'), 'a question about blocks picks none');
    }

    /** @param  array<string, mixed>  $manner */
    private function read(array $manner): ?Manner
    {
        $library = new Library(dirname(__DIR__, 2).'/library');
        $block = [
            'block' => 'target', 'title' => 'Target', 'text' => 'Hit it.', 'skill' => 'overhand-throw', 'object' => 'soft-ball',
            'sets' => 2, 'reps' => 6, 'effort' => 0.5, ...$manner,
        ];
        $node = Node::parse((string) json_encode(['rungs' => [[], ['blocks' => [[], [], $block]]]]));
        $place = $node->get('rungs')->items()[1]->get('blocks')->items()[2];

        return (new DoseReader($library->skills(), $library->objects()))->read($place)->manner;
    }
}
