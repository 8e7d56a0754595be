<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Courtside\CountChange;
use Augendo\Core\Courtside\Tap;
use Augendo\Core\Instant;
use Augendo\Core\InvalidValue;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CountChangeTest extends TestCase
{
    #[TestWith([4, 6, 2, []])]
    #[TestWith([4, 4, 0, []])]
    #[TestWith([4, 2, 0, ['tap 4', 'tap 3']])]
    #[TestWith([2, 0, 0, ['tap 2', 'tap 1']])]
    #[TestWith([0, 500, 500, []])]
    public function test_what_is_missing_is_added_and_what_is_too_much_goes_last_first(
        int $there, int $after, int $added, array $gone,
    ): void {
        $change = CountChange::of(self::taps($there), $after);
        $this->assertSame([$there, $after, $added, $gone], [$change->before, $change->after, $change->added(), $change->withdraw]);
        $this->assertSame([$there === $after, $after < $there], [$change->isNothing(), $change->lowers()]);
        $this->assertSame($after, $there + $change->added() - count($change->withdraw));
    }

    #[TestWith([6, 4, 'gbgggb'])]
    #[TestWith([5, 5, 'ggggg'])]
    #[TestWith([3, 0, 'bbb'])]
    #[TestWith([0, 0, ''])]
    #[TestWith([3, null, '???'])]
    public function test_what_was_ticked_as_judged_has_no_longer_row_of_good_ones_than_there_must_have_been(
        int $reps, ?int $good, string $order,
    ): void {
        $marks = array_map(
            fn (?bool $isGood): string => $isGood === null ? '?' : ($isGood ? 'g' : 'b'),
            CountChange::of([], $reps, $good)->verdicts(),
        );
        $this->assertSame(count_chars($order), count_chars(implode('', $marks)), implode('', $marks));
        $least = $good === null ? 0 : (int) ceil($good / ($reps - $good + 1));
        $this->assertSame($least, max(array_map(strlen(...), preg_split('/[^g]/', implode('', $marks)) ?: [])));
    }

    public function test_how_many_were_good_is_told_once_and_is_no_more_than_there_were(): void
    {
        foreach ([[[], 4, 5], [[], 4, -1], [self::taps(1), 4, 3]] as [$there, $after, $good]) {
            try {
                CountChange::of($there, $after, $good);
                $this->fail('taken');
            } catch (InvalidValue $refused) {
                $this->assertNotSame('', $refused->getMessage());
            }
        }
    }

    #[TestWith([-1])]
    #[TestWith([501])]
    public function test_nobody_does_that(int $after): void
    {
        $this->expectException(InvalidValue::class);
        CountChange::of([], $after);
    }

    /** @return list<Tap> */
    private static function taps(int $count): array
    {
        return array_map(fn (int $i): Tap => new Tap(
            id: "tap {$i}", sheetId: 'sheet', blockId: 'block', setNo: 1, kind: 'rep', targetId: null, verdict: 'good', fault: null,
            side: 'dominant', effort: 0.5, distanceM: null, at: Instant::of('2027-05-24T17:00:00Z'), seq: $i, device: 'phone',
            by: 1, note: null, seen: null,
        ), $count === 0 ? [] : range(1, $count));
    }
}
