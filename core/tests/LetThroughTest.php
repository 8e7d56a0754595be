<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\LetThrough;
use Augendo\Core\InvalidValue;
use PHPUnit\Framework\TestCase;

final class LetThroughTest extends TestCase
{
    public function test_the_usual_gate_keeps_back_who_is_not_ready_and_lets_through_who_is(): void
    {
        [$notReady, $atTheMark, $ready] = LetThrough::of(new Gate, 6);
        $this->assertGreaterThan(0.0, $notReady->share, 'luck there is');
        $this->assertLessThan(0.3, $notReady->share);
        $this->assertGreaterThan($notReady->share, $atTheMark->share);
        $this->assertGreaterThan(0.95, $ready->share);
        $this->assertGreaterThanOrEqual(2.0, $ready->sessions, 'never before the sessions it asks for');
        $this->assertLessThanOrEqual($atTheMark->sessions, $ready->sessions);
    }

    public function test_the_same_gate_has_the_same_figures_and_a_stricter_one_lets_fewer_through(): void
    {
        $this->assertEquals(LetThrough::of(new Gate, 6), LetThrough::of(new Gate, 6));
        $loose = LetThrough::of(new Gate(targetRate: 0.6, lowerBound: 0.4, confirmAfterFail: false), 6);
        $streak = LetThrough::of(new Gate(streak: 10), 6);
        foreach (LetThrough::of(new Gate, 6) as $i => $usual) {
            $this->assertGreaterThanOrEqual($usual->share, $loose[$i]->share);
            $this->assertSame(0.0, $streak[$i]->share, 'ten in a row within a session of six');
            $this->assertNull($streak[$i]->sessions);
        }
    }

    public function test_by_the_binomial_where_one_look_decides(): void
    {
        // One session of ten, nine of ten good, no bound: the chance of nine or ten of ten at a true rate of 0.9 is 0.736 a look.
        $gate = new Gate(
            windowSessions: 1, minReps: 10, minSessions: 1, targetRate: 0.9, lowerBound: 0.0, maxFade: 1.0, confirmAfterFail: false,
        );
        $ready = LetThrough::of($gate, 10)[2];
        $this->assertSame(1.0, $ready->share, 'twelve looks at 0.736');
        $this->assertSame(1.0, $ready->sessions, 'the middle one at the first look');
    }

    public function test_without_a_repetition_or_with_more_than_anybody_judges_it_is_refused(): void
    {
        foreach ([0, LetThrough::REPS_AT_MOST + 1] as $reps) {
            try {
                LetThrough::of(new Gate, $reps);
                $this->fail("{$reps} repetitions");
            } catch (InvalidValue $refused) {
                $this->assertStringContainsString('1 to 20', $refused->getMessage());
            }
        }
    }
}
