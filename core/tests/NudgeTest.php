<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Instant;
use Augendo\Core\Mechanics\JudgedRep;
use Augendo\Core\Mechanics\Nudge;
use PHPUnit\Framework\TestCase;

final class NudgeTest extends TestCase
{
    public function test_the_old_fault_is_back_in_three_of_five_and_quality_that_falls_says_so_first(): void
    {
        $this->assertNull(Nudge::of([]));
        $this->assertNull(Nudge::of($this->reps('gggg')));
        $this->assertSame(['returns', 'e'], Nudge::of($this->reps('ggeege')));
        $this->assertNull(Nudge::of($this->reps('eeegggg')), 'it went away again');
        $this->assertNull(Nudge::of($this->reps('geuuuegg')), 'not seen is no fault');
        $this->assertNull(Nudge::of($this->reps('bbb')), 'three that were not good, and no fault named');
        // Best ten: all good. Last ten: eight, then seven good.
        $this->assertEqualsWithDelta(0.2, Nudge::of($this->reps('gggggggggg'.'ggggegeggg'))[1] ?? 0.0, 1e-9);
        $this->assertNull(Nudge::of($this->reps('gggggggggg'.'gggggggggb')), 'one in ten is no fall');
        $this->assertNull(Nudge::of($this->reps('ggggggggg'.'bgbgbgbgbg')), 'nineteen are too few for two tens');
        $this->assertSame('falls', Nudge::of($this->reps('gggggggggg'.'ggggggeeee'))[0] ?? null);
    }

    /** @return list<JudgedRep> g good, b not good, u not seen; any other letter is a fault of that name */
    private function reps(string $marks): array
    {
        return array_map(fn (string $mark): JudgedRep => new JudgedRep(
            Instant::of('2027-03-15T10:00:00Z'), 's', match ($mark) {
                'g' => true,
                'u' => null,
                default => false,
            }, false, in_array($mark, ['g', 'b', 'u'], true) ? null : $mark,
        ), $marks === '' ? [] : str_split($marks));
    }

    public function test_the_best_ten_in_a_row_are_looked_for_to_the_very_last(): void
    {
        $reps = fn (string $marks): array => array_map(
            fn (string $mark): JudgedRep => new JudgedRep(Instant::of('2027-05-20T17:00:00Z'), 's', $mark === 'g'), str_split($marks),
        );
        $this->assertSame(['falls', 0.2], Nudge::of($reps('bggggggggggbgggggggb')));
        $this->assertNull(Nudge::of($reps('ggggggggggbggggggggg')), 'one in ten is no fall');
        $this->assertNull(Nudge::of($reps('bbbbbbbbbbgggggggggg')), 'the last ten are the best');
        $this->assertNull(Nudge::of($reps('ggggggggggbbbbbbbbb')), 'nineteen are too few');
        $this->assertSame(['falls', 1.0], Nudge::of($reps('ggggggggggbbbbbbbbbb')));
        $this->assertEqualsWithDelta(0.9, Nudge::of($reps('bggggggggggbbbbbbbbb'))[1] ?? 0.0, 1e-12);
    }
}
