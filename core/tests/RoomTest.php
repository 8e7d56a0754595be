<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Surface;
use Augendo\Core\Stations\Room;
use Augendo\Core\Stations\RoomChange;
use Augendo\Core\Stations\Space;
use PHPUnit\Framework\TestCase;

/** Rain: what no space can hold is shorter, done indoors, or left out. */
final class RoomTest extends TestCase
{
    private Library $library;

    protected function setUp(): void
    {
        $this->library = new Library(__DIR__.'/../../library');
    }

    public function test_a_javelin_goes_into_no_hall_and_a_soft_ball_into_its_net_does(): void
    {
        $rung = $this->rung('javelin-throw', 'five-step');
        [$indoors, $changes] = Room::fit($rung, [new Space('hall', 12, 4, Surface::Sprung, false)]);
        $this->assertSame(
            [
                'nothing_thrown: Easy throws → Easy throws, 0',
                'indoors: Five-step throw → Five steps, soft ball into a net, 6',
            ],
            array_map(
                fn (RoomChange $of): string => "{$of->how}: {$of->asked->title} → {$of->instead?->title}, {$of->instead?->reps}",
                $changes,
            ),
        );
        foreach ($indoors->blocks as $block) {
            $this->assertTrue($block->reps === 0 || ! $block->object->far, $block->title);
            $this->assertLessThanOrEqual(9.0, $block->distanceM ?? 0.0);
        }
        $this->assertSame([], array_filter($indoors->blocks, fn (BlockDose $block): bool => $block->judged), 'no evidence of the rung');
        [$field, $none] = Room::fit($rung, [new Space('field', 40, 4, Surface::Soft, true)]);
        $this->assertSame([$rung, []], [$field, $none]);
        $this->assertSame([$rung, []], Room::fit($rung, []), 'nobody said what there is');
        $noSector = Room::fit($rung, [new Space('field', 40, 4, Surface::Soft, false)])[0];
        $this->assertSame([], array_filter($noSector->blocks, fn (BlockDose $block): bool => $block->object->far && $block->reps > 0));
    }

    public function test_a_serve_comes_closer_down_to_its_least_and_no_further(): void
    {
        $rung = $this->rung('volleyball-float-serve', 'line');
        $metres = fn (float $length): array => array_map(
            fn (BlockDose $block): ?float => $block->distanceM,
            array_values(array_filter(
                Room::fit($rung, [new Space('hall', $length, 4, Surface::Sprung, false)])[0]->blocks,
                fn (BlockDose $block): bool => $block->judged,
            )),
        );
        $this->assertSame([9.0], $metres(12));
        $this->assertSame([8.0], $metres(11.3), 'in halves, and never longer than there is room for');
        $this->assertSame([7.0], $metres(10));
        $this->assertSame([], $metres(9.5), 'its least are seven metres');
        $this->assertSame([9.0], $metres(40), 'never further than asked');
    }

    public function test_every_rung_that_flies_far_says_what_is_done_indoors(): void
    {
        foreach ($this->library->ladderIds() as $id) {
            foreach ($this->library->ladder($id)->rungs as $rung) {
                $far = array_filter($rung->blocks, fn (BlockDose $block): bool => $block->judged && $block->object->far);
                $this->assertSame($far !== [], $rung->indoor !== null, "{$id}, {$rung->id}");
            }
        }
    }

    public function test_what_is_done_indoors_is_not_judged_and_flies_nowhere(): void
    {
        $file = json_decode((string) file_get_contents(__DIR__.'/../../library/ladders/javelin-throw.json'));
        $read = fn (string $field, mixed $value): string => (function () use ($file, $field, $value): string {
            $changed = json_decode((string) json_encode($file));
            $changed->rungs[2]->indoor->{$field} = $value;
            try {
                $this->library->readLadder(Node::parse((string) json_encode($changed)));
            } catch (CaseError $error) {
                return "{$error->path}: {$error->getMessage()}";
            }

            return 'read';
        })();
        $this->assertSame('read', $read('reps', 4));
        $this->assertStringContainsString('/rungs/2/indoor/judged: ', $read('judged', true));
        $this->assertStringContainsString('/rungs/2/indoor/object: ', $read('object', 'javelin-500'));
    }

    private function rung(string $ladder, string $rung): Rung
    {
        return $this->library->ladder($ladder)->rung($rung) ?? throw new \LogicException("no {$rung}");
    }
}
