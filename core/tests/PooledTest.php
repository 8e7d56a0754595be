<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Mechanics\Pooled;
use Augendo\Core\Mechanics\WhatHelped;
use PHPUnit\Framework\TestCase;

final class PooledTest extends TestCase
{
    /**
     * The six studies M. Borenstein et al. work through in Introduction to Meta-Analysis (2009), chapter 14: the variance between
     * studies is 0.037, the mean 0.358 with a standard error of 0.105.
     */
    public function test_a_published_example(): void
    {
        $pooled = Pooled::of([[0.095, 0.033], [0.277, 0.031], [0.367, 0.050], [0.664, 0.011], [0.462, 0.043], [0.185, 0.023]]);
        $this->assertNotNull($pooled);
        $this->assertEqualsWithDelta(0.037, $pooled->between, 0.0011, 'the studies are printed to three decimals');
        $this->assertEqualsWithDelta(0.358, $pooled->mean, 0.001);
        $this->assertEqualsWithDelta(0.105, $pooled->error, 0.001);
        $this->assertSame('better', $pooled->says());
    }

    /** The fixed effect of the same six there: 0.414 with a standard error of 0.064. */
    public function test_several_rungs_of_one_athlete_are_one_answer_and_the_better_known_rung_weighs_more(): void
    {
        [$mean, $variance] = Pooled::ofRungs(
            [[0.095, 0.033], [0.277, 0.031], [0.367, 0.050], [0.664, 0.011], [0.462, 0.043], [0.185, 0.023]],
        );
        $this->assertEqualsWithDelta(0.414, $mean, 0.006, 'the studies are printed to three decimals');
        $this->assertEqualsWithDelta(0.064, sqrt($variance), 0.001);
        $this->assertSame([0.3, 0.02], array_map(fn (float $each): float => round($each, 12), Pooled::ofRungs([[0.3, 0.02]])));
        [$mean] = Pooled::ofRungs([[0.5, 0.01], [-0.1, 0.09]]);
        $this->assertEqualsWithDelta(0.44, $mean, 1e-12);
    }

    public function test_where_all_answer_alike_nothing_lies_between_them_and_two_are_too_few(): void
    {
        $alike = Pooled::of([[0.2, 0.01], [0.2, 0.02], [0.2, 0.04]]);
        $this->assertSame(0.0, $alike?->between);
        $this->assertEqualsWithDelta(0.2, $alike->mean, 1e-12);
        $this->assertEqualsWithDelta(1 / (100 + 50 + 25), $alike->error ** 2, 1e-12);
        $two = Pooled::of([[0.5, 0.001], [0.5, 0.001]]);
        $this->assertSame('too few to tell', $two?->says());
        $this->assertNull(Pooled::of([]));
        $this->assertEqualsWithDelta(0.1, Pooled::of([[0.3, 0.01]])?->error, 1e-12);
    }

    public function test_one_athletes_difference_is_never_surer_than_its_repetitions(): void
    {
        $reps = fn (int $good, int $bad, array $tried): array => [
            ...array_fill(0, $good, [true, $tried]), ...array_fill(0, $bad, [false, $tried]),
        ];
        [$few, $error] = WhatHelped::of([...$reps(3, 0, ['cue']), ...$reps(1, 2, [])], 'cue')?->forPooling() ?? [0.0, 0.0];
        [, $less] = WhatHelped::of([...$reps(30, 0, ['cue']), ...$reps(10, 20, [])], 'cue')?->forPooling() ?? [0.0, 0.0];
        $this->assertGreaterThan(0.0, $few);
        $this->assertLessThan(2 / 3, $few, 'three of three is not always');
        $this->assertGreaterThan($less, $error);
        $this->assertGreaterThan(0.0, $less);
    }
}
