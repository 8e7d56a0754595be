<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Library\LadderChange;
use Augendo\Core\Library\LadderChanges;
use PHPUnit\Framework\TestCase;

final class LadderChangesTest extends TestCase
{
    public function test_a_file_and_itself_differ_nowhere_whatever_is_its_own(): void
    {
        foreach ($this->files() as $file) {
            $this->assertSame([], LadderChanges::between($file, ['id' => 'ours', 'version' => 9] + $file + ['copied_from' => 'x']));
        }
    }

    public function test_each_place_is_named_and_each_change_can_be_taken_alone(): void
    {
        $from = $this->files()['overhand-throw'];
        $to = $from;
        $to['name'] = 'Throw, our way';
        $to['rungs'][1]['teaching']['good'] = 'Quiet.';
        $to['rungs'][1]['blocks'][2]['reps'] += 2;
        $to['rungs'][1]['gate']['streak'] = 5;
        array_splice($to['faults'], 2, 0, [['id' => 'new', 'name' => 'New'] + $from['faults'][0]]);
        unset($to['rungs'][2]['blocks'][1]);
        $to['rungs'][2]['blocks'] = array_values($to['rungs'][2]['blocks']);
        [$to['rungs'][4], $to['rungs'][5]] = [$to['rungs'][5], $to['rungs'][4]];
        $changes = LadderChanges::between($from, $to);
        $places = array_map(fn (LadderChange $change): string => $change->pointer(), $changes);
        $rung = $from['rungs'][1]['id'];
        $this->assertContains('/name', $places);
        $this->assertContains("/rungs/{$rung}/teaching/good", $places);
        $this->assertContains("/rungs/{$rung}/blocks/{$from['rungs'][1]['blocks'][2]['title']}/reps", $places);
        $this->assertContains('/faults/new', $places);
        $this->assertContains('/rungs/'.LadderChanges::ORDER, $places);
        $this->assertEquals($to, LadderChanges::taken($from, $changes), 'all of them together are the other file');
        foreach ($changes as $change) {
            $one = LadderChanges::taken($from, [$change]);
            $left = array_map(fn (LadderChange $each): string => $each->pointer(), LadderChanges::between($one, $to));
            $this->assertSame(array_values(array_diff($places, [$change->pointer()])), $left, $change->pointer());
        }
    }

    public function test_what_is_new_stands_where_it_stands_there_and_goes_at_the_end_where_its_neighbour_is_gone(): void
    {
        $list = fn (string ...$ids): array => ['rungs' => array_map(fn (string $id): array => ['id' => $id], array_values($ids))];
        $take = fn (array $into, array $from, array $to): array => array_column(
            LadderChanges::taken($into, LadderChanges::between($from, $to))['rungs'], 'id',
        );
        $this->assertSame(['a', 'x', 'b'], $take($list('a', 'b'), $list('a', 'b'), $list('a', 'x', 'b')));
        $this->assertSame(['x', 'a'], $take($list('a'), $list('a'), $list('x', 'a')));
        $this->assertSame(['b', 'x'], $take($list('b'), $list('a', 'b'), $list('a', 'x', 'b')), 'the copy has no “a” any more');
        $this->assertSame(['b'], $take($list('b'), $list('a', 'b'), $list('b')), 'what is gone already is not taken away twice');
        $gone = LadderChanges::taken($list('b'), LadderChanges::between(
            ['rungs' => [['id' => 'a', 'name' => 'A']]], ['rungs' => [['id' => 'a', 'name' => 'B']]],
        ));
        $this->assertSame($list('b'), $gone, 'a change inside what the copy does not have changes nothing');
    }

    public function test_any_two_files_can_be_turned_into_each_other(): void
    {
        $files = array_map(fn (array $file): array => array_diff_key($file, array_flip(['$schema', 'id', 'version'])), $this->files());
        foreach (['discus' => 'shot', 'handball-standing-throw' => 'handball-jump-throw', 'jump-landing' => 'serve-landing'] as $a => $b) {
            $changes = LadderChanges::between($files[$a], $files[$b]);
            $this->assertEquals($files[$b], LadderChanges::taken($files[$a], $changes), "{$a} to {$b}");
        }
    }

    /** @return array<string, array<string, mixed>> */
    private function files(): array
    {
        $files = [];
        foreach (glob(dirname(__DIR__, 2).'/library/ladders/*.json') ?: [] as $path) {
            $files[basename($path, '.json')] = json_decode((string) file_get_contents($path), true, 512, JSON_THROW_ON_ERROR);
        }

        return $files;
    }
}
