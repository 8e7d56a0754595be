<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Courtside\Tap;
use Augendo\Core\Courtside\TapFold;
use Augendo\Core\Instant;
use Augendo\Core\Load\Side;
use PHPUnit\Framework\TestCase;

final class TapFoldTest extends TestCase
{
    private const FIRST = 'first-device';

    private const SECOND = 'second-device';

    public function test_a_correction_and_a_withdrawal_are_read_into_the_repetition_whenever_they_come(): void
    {
        $taps = [
            $this->tap('withdraw-b', 5, ['kind' => 'withdraw', 'targetId' => 'b']),
            $this->tap('correct-a', 4, ['kind' => 'correct', 'targetId' => 'a', 'verdict' => 'not_good', 'fault' => 'toss']),
            $this->tap('a', 1),
            $this->tap('b', 2),
            $this->tap('c', 3, ['verdict' => 'unobserved']),
        ];
        $standing = TapFold::standing($taps);
        $this->assertSame([['a', false, 'toss'], ['c', null, null]], array_map(
            fn (Tap $rep): array => [$rep->id, $rep->isGood(), $rep->fault],
            $standing,
        ));
        // A change of what never came changes nothing, and the order they arrive in is no matter.
        $stray = $this->tap('stray', 6, ['kind' => 'correct', 'targetId' => 'nothing', 'verdict' => 'good']);
        $this->assertEquals($standing, TapFold::standing([...array_reverse($taps), $stray]));
    }

    public function test_the_later_of_two_corrections_stands_and_what_is_withdrawn_stays_so(): void
    {
        $change = fn (string $id, int $second, string $verdict): Tap => $this->tap(
            $id, $second, ['kind' => 'correct', 'targetId' => 'a', 'verdict' => $verdict],
        );
        $taps = [$change('later', 3, 'good'), $change('sooner', 2, 'not_good'), $this->tap('a', 1, ['verdict' => 'unobserved'])];
        $this->assertTrue(TapFold::standing($taps)[0]->isGood());
        $withdrawn = $this->tap('w', 2, ['kind' => 'withdraw', 'targetId' => 'a']);
        $this->assertSame([], TapFold::standing([...$taps, $withdrawn]));
    }

    public function test_tags_are_counted_with_the_last_word_on_each_and_go_with_their_repetition(): void
    {
        $tag = fn (string $id, int $second, string $of, string $note): Tap => $this->tap(
            $id, $second, ['kind' => 'tag', 'targetId' => $of, 'note' => $note],
        );
        $taps = [
            $this->tap('a', 1), $this->tap('b', 2, ['verdict' => 'unobserved']), $this->tap('c', 3),
            $tag('1', 4, 'a', 'low'), $tag('2', 5, 'a', 'fouled'), $tag('3', 6, 'a', '-low'), $tag('4', 7, 'b', 'high'),
            $tag('5', 8, 'c', 'low'), $tag('6', 9, 'nobody', 'low'), $this->tap('w', 10, ['kind' => 'withdraw', 'targetId' => 'c']),
        ];
        $this->assertSame(['a' => ['fouled'], 'b' => ['high']], TapFold::tags($taps));
        $this->assertSame(TapFold::tags($taps), TapFold::tags([...array_reverse($taps), $taps[3]]), 'in any order, and one of them twice');
        $this->assertSame([true, null], array_map(fn (Tap $rep): ?bool => $rep->isGood(), TapFold::standing($taps)), 'it judges nothing');
    }

    public function test_where_the_sides_take_turns_both_are_evidence(): void
    {
        $taps = [$this->tap('a', 1), $this->tap('b', 2, ['side' => 'other'])];
        $ids = fn (array $judged): array => array_map(fn (Tap $tap): string => $tap->id, TapFold::evidence($taps, $judged));
        $this->assertSame([['a'], ['b'], ['a', 'b'], []], [
            $ids(['block' => Side::Dominant]), $ids(['block' => Side::Other]), $ids(['block' => null]), $ids([]),
        ]);
    }

    public function test_taps_are_in_order_of_the_instant_whatever_the_offset_says(): void
    {
        $inLisbon = $this->tap('first', 0, ['at' => Instant::of('2026-11-26T17:00:01+00:00')]);
        $inBerlin = $this->tap('second', 0, ['at' => Instant::of('2026-11-26T18:00:02+01:00')]);
        $sameInstant = $this->tap('third', 0, ['at' => Instant::of('2026-11-26T18:00:02+01:00'), 'seq' => 9]);
        $ids = fn (Tap ...$taps): array => array_map(fn (Tap $tap): string => $tap->id, TapFold::standing(array_values($taps)));
        $this->assertSame(['first', 'second', 'third'], $ids($sameInstant, $inBerlin, $inLisbon));
    }

    public function test_a_repetition_carries_what_was_being_tried_when_it_was_done(): void
    {
        $try = fn (string $id, int $second, string $what): Tap => $this->tap($id, $second, ['kind' => 'trying', 'note' => $what]);
        $standing = TapFold::standing([
            $this->tap('a', 1), $try('t1', 2, 'wider stance'), $this->tap('b', 3), $try('t2', 4, ''), $this->tap('c', 5),
        ]);
        $this->assertSame([null, 'wider stance', ''], array_map(fn (Tap $rep): ?string => $rep->note, $standing));
    }

    public function test_evidence_is_of_judged_blocks_on_the_side_each_asks_for(): void
    {
        $taps = [
            $this->tap('a', 1),
            $this->tap('other side', 2, ['side' => 'other']),
            $this->tap('not judged', 3, ['blockId' => 'warm-up']),
            $this->tap('seen along', 4, ['kind' => 'second']),
        ];
        $evidence = TapFold::evidence(TapFold::standing($taps), ['block' => Side::Dominant]);
        $this->assertSame(['a'], array_map(fn (Tap $rep): string => $rep->id, $evidence));
        $this->assertSame(['seen along'], array_map(fn (Tap $rep): string => $rep->id, TapFold::standing($taps, 'second')));
        [$judged] = TapFold::judged([$this->tap('x', 1, ['verdict' => 'not_good', 'fault' => 'elbow'])], ['elbow']);
        $this->assertSame([false, true, 'elbow', 'sheet'], [$judged->good, $judged->safety, $judged->fault, $judged->session]);
    }

    public function test_a_fall_is_a_landing_that_counts_and_that_nobody_judges(): void
    {
        $taps = [
            $this->tap('a', 1),
            $this->tap('fall', 2, ['kind' => 'fall', 'verdict' => null]),
            $this->tap('taken back', 3, ['kind' => 'fall', 'verdict' => null]),
            $this->tap('w', 4, ['kind' => 'withdraw', 'targetId' => 'taken back', 'verdict' => null]),
            $this->tap('c', 5, ['kind' => 'correct', 'targetId' => 'fall', 'verdict' => 'good']),
        ];
        $standing = TapFold::standing($taps);
        $this->assertSame(['a', 'fall'], array_map(fn (Tap $rep): string => $rep->id, $standing));
        $this->assertNull($standing[1]->verdict, 'no correction makes it a repetition');
        $this->assertSame(1, TapFold::falls($standing));
        $evidence = TapFold::evidence($standing, ['block' => Side::Dominant]);
        $this->assertSame(['a'], array_map(fn (Tap $rep): string => $rep->id, $evidence));
        $this->assertSame([], TapFold::standing([$taps[1]], 'second'));
    }

    public function test_where_it_landed_is_the_last_touch_for_each_repetition_that_stands(): void
    {
        $landed = fn (string $id, int $second, string $target, string $where): Tap => $this->tap(
            $id, $second, ['kind' => 'landed', 'targetId' => $target, 'note' => $where],
        );
        $taps = [
            $this->tap('a', 1), $this->tap('b', 2), $this->tap('c', 3),
            $landed('l1', 4, 'a', '0.5 -1.25'), $landed('l2', 5, 'a', '0.25 1'), $landed('l3', 6, 'b', '2 2'),
            $landed('l4', 7, 'c', 'somewhere'), $this->tap('w', 8, ['kind' => 'withdraw', 'targetId' => 'b']),
        ];
        $this->assertSame([[0.25, 1.0]], TapFold::landed($taps));
    }

    public function test_two_devices_that_say_different_things_are_named_and_one_that_changes_its_mind_is_not(): void
    {
        $change = fn (string $id, int $second, string $device, string $verdict): Tap => $this->tap(
            $id, $second, ['kind' => 'correct', 'targetId' => 'a', 'verdict' => $verdict, 'device' => $device],
        );
        $rep = $this->tap('a', 1);
        $itself = [$rep, $change('x', 2, self::FIRST, 'good'), $change('y', 3, self::FIRST, 'not_good')];
        $this->assertSame([], TapFold::changedTwice($itself));
        $this->assertSame([], TapFold::changedTwice([$rep, $change('x', 2, self::FIRST, 'good'), $change('y', 3, self::SECOND, 'good')]));
        $differ = [$rep, $change('y', 3, self::SECOND, 'not_good'), $change('x', 2, self::FIRST, 'good')];
        [[$named, $words]] = TapFold::changedTwice($differ);
        $this->assertSame(['a', 'x', 'y'], [$named->id, ...array_map(fn (Tap $tap): string => $tap->id, $words)]);
    }

    public function test_a_set_is_counted_twice_only_when_the_two_counts_overlap(): void
    {
        $of = fn (string $device, int ...$seconds): array => array_map(
            fn (int $second): Tap => $this->tap("{$device} {$second}", $second, ['device' => $device]),
            $seconds,
        );
        $this->assertCount(1, TapFold::countedTwice([...$of(self::FIRST, 1, 3, 5), ...$of(self::SECOND, 2, 4)]));
        $this->assertSame([], TapFold::countedTwice([...$of(self::FIRST, 1, 2), ...$of(self::SECOND, 3, 4)]), 'one went on for the other');
        $this->assertCount(1, TapFold::countedTwice([...$of(self::FIRST, 1, 3, 5), ...$of(self::SECOND, 4, 6)]));
        $this->assertCount(1, TapFold::countedTwice([...$of(self::FIRST, 4, 6), ...$of(self::SECOND, 1, 3, 5)]));
        $this->assertCount(1, TapFold::countedTwice([...$of(self::FIRST, 1, 2), ...$of(self::SECOND, 2, 3)]), 'in the same instant');
        $another = array_map(fn (Tap $tap): Tap => $tap->with(['setNo' => 2]), $of(self::SECOND, 2, 4));
        $this->assertSame([], TapFold::countedTwice([...$of(self::FIRST, 1, 3, 5), ...$another]), 'two sets');
    }

    /** Whatever order taps reach the server in, and however often, they come to the same. */
    public function test_neither_order_nor_repetition_of_what_arrives_changes_what_stands(): void
    {
        mt_srand(20261126);
        for ($run = 0; $run < 200; $run++) {
            $taps = [];
            for ($i = 0; $i < 12; $i++) {
                $kind = ['rep', 'rep', 'rep', 'withdraw', 'correct', 'trying'][mt_rand(0, 5)];
                $taps["tap {$i}"] = $this->tap("tap {$i}", mt_rand(0, 8), [
                    'kind' => $kind, 'targetId' => $kind === 'rep' ? null : 'tap '.mt_rand(0, 11), 'seq' => $i,
                    'verdict' => ['good', 'not_good', 'unobserved'][mt_rand(0, 2)], 'note' => $kind === 'trying' ? "cue {$i}" : null,
                ]);
            }
            $once = TapFold::standing(array_values($taps));
            $shuffled = array_values($taps);
            usort($shuffled, fn (): int => mt_rand(-1, 1));
            $this->assertEquals($once, TapFold::standing($shuffled));
            $this->assertEquals($once, TapFold::standing([...$shuffled, ...$shuffled]));
        }
    }

    /** @param  array<string, mixed>  $with */
    private function tap(string $id, int $second, array $with = []): Tap
    {
        return (new Tap(
            $id, 'sheet', 'block', 1, 'rep', null, 'good', null, 'dominant', 0.75, 9.0,
            Instant::of(sprintf('2026-11-26T17:00:%02d+00:00', $second)), 0, self::FIRST, 1, null, null,
        ))->with($with);
    }
}
