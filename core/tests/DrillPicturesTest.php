<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\DrillCard;
use Augendo\Core\Library\Figures;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Pose;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DrillPicturesTest extends TestCase
{
    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(__DIR__.'/../../library');
    }

    public function test_every_drill_in_which_somebody_moves_has_a_picture(): void
    {
        $cards = DrillCard::all(
            array_map($this->library->ladder(...), $this->library->ladderIds()), array_values($this->library->drills()),
        );
        $pictures = $this->library->figures()->pictures;
        $without = array_filter($cards, fn (DrillCard $card): bool => $card->picture === null);
        // What is only watched, written down or thought of looks like nothing; nobody is drawn in a chair.
        $this->assertSame([], array_filter($without, fn (DrillCard $card): bool => $card->loads !== [] && ! $card->seated));
        $this->assertGreaterThan(100, count($cards) - count($without));
        foreach ($cards as $card) {
            $this->assertTrue($card->picture === null || isset($pictures[$card->picture]), $card->title);
        }
    }

    public function test_every_picture_is_of_a_drill_or_a_key_position_and_says_what_it_shows(): void
    {
        $used = [];
        foreach ($this->library->ladderIds() as $id) {
            foreach ($this->library->ladder($id)->rungs as $rung) {
                $used = [...$used, ...array_column($rung->faults, 'picture')];
            }
        }
        $used = [...$used, ...array_column($this->library->drills(), 'picture')];
        foreach ($this->library->figures()->pictures as $id => $pose) {
            $this->assertTrue(str_contains($id, '/') || in_array($id, $used, true), "{$id} is drawn for nothing");
            $this->assertGreaterThan(8, strlen($pose->text), $id);
        }
    }

    public function test_a_key_position_is_found_under_its_skill_in_the_order_it_is_gone_through(): void
    {
        $figures = $this->library->figures();
        $this->assertSame(
            ['Draw', 'Block', 'Release'], array_map(fn (Pose $pose): string => $pose->name, $figures->ofSkill('javelin')),
        );
        $this->assertSame($figures->ofSkill('javelin')[1], $figures->pictures['javelin/block']);
        $this->assertSame('bench', $figures->pictures['seated-turn']->beside);
        $this->assertSame([], $figures->ofSkill('footwork'));
    }

    /** @return iterable<string, array{string, mixed, string}> */
    public static function wrong(): iterable
    {
        yield 'an arm of one angle' => ['throwing_arm', [90], '/drills/plank/throwing_arm'];
        yield 'an angle nobody has' => ['trunk', 900, '/drills/plank/trunk'];
        yield 'a thing nobody draws' => ['beside', 'sofa', '/drills/plank/beside'];
        yield 'a tool nobody draws' => ['tool', 'spoon', '/drills/plank/tool'];
        yield 'a word nobody reads' => ['colour', 'red', '/drills/plank/colour'];
    }

    #[DataProvider('wrong')]
    public function test_a_figure_that_cannot_be_drawn_is_refused_with_its_place(string $key, mixed $value, string $place): void
    {
        $pose = [
            'name' => 'Plank', 'text' => 'Long and still', 'trunk' => 80, 'throwing_arm' => [0, 0], 'front_arm' => [0, 0],
            'front_leg' => [-90, -90], 'back_leg' => [-90, -90], 'lift' => 0, $key => $value,
        ];
        try {
            Figures::of(Node::parse((string) json_encode(['figures' => (object) [], 'drills' => ['plank' => $pose]])), []);
            $this->fail('refused');
        } catch (CaseError $refused) {
            $this->assertSame($place, $refused->path);
        }
    }

    public function test_a_drill_that_looks_like_nothing_there_is_is_refused_where_it_says_so(): void
    {
        $file = json_decode((string) file_get_contents(__DIR__.'/../../library/ladders/shot.json'), true);
        $file['faults'][2]['picture'] = 'push-a-car';
        try {
            $this->library->readLadder(Node::parse((string) json_encode($file)));
            $this->fail('refused');
        } catch (CaseError $refused) {
            $this->assertSame('/faults/2/picture', $refused->path);
            $this->assertStringContainsString('half-kneel', $refused->getMessage());
        }
    }
}
