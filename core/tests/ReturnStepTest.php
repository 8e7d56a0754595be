<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\Evaluator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The way back, rule by rule: five stages, the first and the last need a clearance, two passes on stage 2. */
final class ReturnStepTest extends TestCase
{
    private const STAGES = [
        ['needs_clearance' => true], [], ['passes' => 2], ['min_gap_days' => 3], ['needs_clearance' => true, 'min_gap_days' => 3],
    ];

    private const CLEARED = [['05-01', null]];

    /** @return iterable<string, array{int, list<array<mixed>>, list<array{string, int|null}>, array{string, int, string|null}}> */
    public static function steps(): iterable
    {
        $ok = fn (string $date, int $stage, array $more = []): array => ['date' => $date, 'stage' => $stage, ...$more];
        yield '4: no clearance, no start' => [0, [], [], ['clear', 0, null]];
        yield '4: a clearance for the first stage does not open the last' => [4, [$ok('05-28', 3)], [['05-01', 3]], ['clear', 4, null]];
        yield '5: cleared and fresh' => [0, [], [['05-01', 0]], ['start', 0, '06-01']];
        yield '6: the morning after is awaited' => [1, [$ok('05-31', 1, ['next_morning' => null])], self::CLEARED, ['wait', 1, null]];
        yield '12: every other day' => [1, [$ok('05-31', 1)], self::CLEARED, ['advance', 2, '06-02']];
        yield '12: never before today' => [1, [$ok('05-26', 1)], self::CLEARED, ['advance', 2, '06-01']];
        yield '12: the gap of the next stage' => [2, [$ok('05-28', 2), $ok('05-31', 2)], self::CLEARED, ['advance', 3, '06-03']];
        yield '12: done' => [4, [$ok('05-30', 4)], self::CLEARED, ['done', 4, null]];
        yield '11: one pass of two' => [2, [$ok('05-31', 2)], self::CLEARED, ['repeat', 2, '06-02']];
        yield '11: passes in an unbroken run only' => [
            2,
            [$ok('05-27', 2), $ok('05-29', 1), $ok('05-31', 2)],
            self::CLEARED,
            ['repeat', 2, '06-02'],
        ];
        yield '10: not completed' => [1, [$ok('05-31', 1, ['completed' => false])], self::CLEARED, ['repeat', 1, '06-02']];
        yield '10: sore but eased' => [1, [$ok('05-31', 1, ['during' => 3, 'eased' => true])], self::CLEARED, ['repeat', 1, '06-02']];
        yield '9: sore and one day more' => [2, [$ok('05-31', 2, ['during' => 3])], self::CLEARED, ['step_back', 1, '06-03']];
        yield '9: sore next morning' => [3, [$ok('05-31', 3, ['next_morning' => 4])], self::CLEARED, ['step_back', 2, '06-04']];
        yield '8: another stage' => [2, [$ok('05-31', 1)], self::CLEARED, ['start', 2, '06-02']];
        yield '7: sore on the stage below' => [2, [$ok('05-31', 1, ['next_morning' => 3])], self::CLEARED, ['step_back', 1, '06-03']];
        yield '3: a stop event, cleared' => [2, [$ok('05-30', 2, ['during' => 6])], [['05-31', null]], ['step_back', 1, '06-02']];
        yield '1: a stop event' => [2, [$ok('05-31', 2, ['red_flag' => true])], self::CLEARED, ['stop', 2, null]];
        yield '1: a clearance of the same day is not after it' => [
            2,
            [$ok('05-31', 2, ['next_morning' => 5])],
            [['05-31', null]],
            ['stop', 2, null],
        ];
        yield '1: a clearance below the stage before' => [3, [$ok('05-30', 3, ['during' => 5])], [['05-31', 1]], ['stop', 3, null]];
        yield '2: eight idle days' => [2, [$ok('05-24', 2)], self::CLEARED, ['step_back', 1, '06-01']];
        yield '2: fifteen idle days' => [3, [$ok('05-17', 3)], self::CLEARED, ['step_back', 1, '06-01']];
        yield '2: twenty-nine idle days' => [3, [$ok('05-03', 3)], self::CLEARED, ['restart', 0, '06-01']];
        yield '8: idle, already stepped back' => [1, [$ok('05-24', 2)], self::CLEARED, ['start', 1, '06-01']];
        yield '8: idle on the first stage, sore then' => [0, [$ok('05-24', 0, ['during' => 4])], self::CLEARED, ['start', 0, '06-01']];
    }

    /**
     * @param  list<array<string, mixed>>  $attempts
     * @param  list<array{string, int|null}>  $clearances
     * @param  array{string, int, string|null}  $expected
     */
    #[DataProvider('steps')]
    public function test_the_first_rule_that_holds(int $stage, array $attempts, array $clearances, array $expected): void
    {
        $this->assertSame($expected, $this->next($stage, $attempts, $clearances));
    }

    /** Property: whatever happened, no path leads past a stop event or a missing clearance, and nothing unknown counts as a pass. */
    public function test_no_path_leads_past_a_missing_clearance(): void
    {
        mt_srand(11);
        for ($i = 0; $i < 4000; $i++) {
            $attempts = [];
            for ($day = mt_rand(1, 10); $day < 32; $day += mt_rand(1, 6)) {
                $attempts[] = [
                    'date' => sprintf('05-%02d', $day), 'stage' => mt_rand(0, 4), 'completed' => mt_rand(0, 4) > 0,
                    'during' => mt_rand(0, mt_rand(1, 6)),
                    'eased' => (bool) mt_rand(0, 1), 'next_morning' => [null, 0, 1, 2, mt_rand(3, 6)][mt_rand(0, 4)],
                    'red_flag' => mt_rand(0, 20) === 0,
                ];
            }
            $clearances = mt_rand(0, 2) ? [[sprintf('05-%02d', mt_rand(1, 31)), [null, 0, 2, 4][mt_rand(0, 3)]]] : [];
            $stage = mt_rand(0, 4);
            [$action, $to] = $this->next($stage, $attempts, $clearances);
            $stops = array_column(
                array_filter($attempts, fn (array $a): bool => $a['red_flag'] || $a['during'] >= 5 || $a['next_morning'] >= 5),
                'date',
            );
            $after = $stops === [] ? '00-00' : max($stops);
            $covers = fn (int $k): bool => array_filter(
                $clearances,
                fn (array $c): bool => $c[0] > $after && ($c[1] === null || $c[1] >= $k),
            ) !== [];
            if ($stops !== [] && ! $covers(max($stage - 1, 0))) {
                $this->assertSame('stop', $action);
            }
            if (in_array($action, ['start', 'repeat', 'advance', 'done', 'wait'], true)) {
                $this->assertTrue(
                    $covers($stage) || ! isset(self::STAGES[$stage]['needs_clearance']),
                    'Going on at a stage that needs a clearance needs one.',
                );
            }
            if ($action === 'advance') {
                $last = $attempts[count($attempts) - 1];
                $this->assertSame([$stage + 1, $stage, true], [$to, $last['stage'], $last['completed']]);
                $this->assertNotNull($last['next_morning']);
            }
            $this->assertLessThanOrEqual($stage + 1, $to);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $attempts
     * @param  list<array{string, int|null}>  $clearances
     * @return array{string, int, string|null}
     */
    private function next(int $stage, array $attempts, array $clearances): array
    {
        $answer = Evaluator::answer((string) json_encode([
            'kind' => 'return', 'on' => '2027-06-01',
            'stages' => array_map(fn (array $s): object => (object) $s, self::STAGES), 'stage' => $stage,
            'attempts' => array_map(
                fn (array $a): array => [
                    ...['completed' => true, 'during' => 0, 'eased' => false, 'next_morning' => 0, 'red_flag' => false],
                    ...$a,
                    'date' => "2027-{$a['date']}",
                ],
                $attempts,
            ),
            'clearances' => array_map(fn (array $c): array => ['date' => "2027-{$c[0]}", 'through_stage' => $c[1]], $clearances),
        ]));
        $this->assertArrayNotHasKey('error', $answer, (string) json_encode($answer));

        return [$answer['action'], $answer['stage'], $answer['not_before'] === null ? null : substr($answer['not_before'], 5)];
    }
}
