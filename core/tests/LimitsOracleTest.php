<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\Evaluator;
use PHPUnit\Framework\TestCase;

/**
 * The evaluator against a second, slow and literal reading of the definitions: every window is summed set by set, headroom is found by
 * trying one repetition after another.
 */
final class LimitsOracleTest extends TestCase
{
    private const ON = '2027-05-20';

    private const MEASURES = ['reps', 'high_reps', 'arm', 'landings', 'metres', 'trunk'];

    public function test_limits_and_headroom_agree_with_the_literal_reading(): void
    {
        for ($seed = 1; $seed <= 120; $seed++) {
            mt_srand($seed);
            $case = $this->randomCase();
            $answer = Evaluator::answer((string) json_encode($case));
            $this->assertArrayNotHasKey('error', $answer, "seed {$seed}: ".json_encode($answer));
            foreach ($answer['limits'] as $i => $state) {
                $this->assertSame($case['limits'][$i]['id'], $state['id']);
                $expected = $this->state($case['limits'][$i], $case, $case['plan']);
                foreach ($expected as $key => $value) {
                    $where = "seed {$seed}, {$state['id']}, {$key}";
                    is_numeric($value)
                        ? $this->assertEqualsWithDelta($value, $state[$key], 1e-9, $where)
                        : $this->assertSame($value, $state[$key], $where);
                }
            }
            [$reps, $binding] = $this->headroom($case);
            $this->assertSame($reps, $answer['headroom']['reps'], "seed {$seed}");
            $this->assertSame($binding, $answer['headroom']['binding'], "seed {$seed}");
        }
    }

    /** @return array<string, mixed> */
    private function randomCase(): array
    {
        $history = $plan = [];
        for ($back = mt_rand(0, 50); $back >= 0; $back--) {
            for ($sets = mt_rand(0, 2); $sets > 0; $sets--) {
                $history[] = $this->set($this->day(-$back));
            }
        }
        for ($sets = mt_rand(0, 2); $sets > 0; $sets--) {
            $plan[] = $this->set($this->day(mt_rand(0, 1)));
        }
        $measure = fn (): string => self::MEASURES[mt_rand(0, 5)];
        $filter = fn (): array => mt_rand(0, 1) ? [
            'filter' => [
                ['families' => ['throw']],
                ['side' => 'dominant'],
                ['skills' => ['serve']],
                ['objects' => ['standard', 'heavy']],
            ][mt_rand(0, 3)],
        ] : [];
        $common = fn (string $id, string $kind): array => [
            'id' => $id,
            'kind' => $kind,
            'label' => $id,
            'source' => 'test',
            'severity' => mt_rand(0, 3) ? 'hard' : 'advise',
            ...$filter(),
        ];

        return [
            'kind' => 'load', 'on' => self::ON, 'athlete' => ['birth_date' => null], 'effort_curve' => 'linear',
            'skills' => [
                'javelin' => ['family' => 'throw', 'landings_per_rep' => 1, 'channels' => ['arm' => 1, 'hand' => 0.4, 'trunk' => 1]],
                'serve' => ['family' => 'serve', 'landings_per_rep' => 0, 'channels' => ['arm' => 0.7, 'hand' => 0.3, 'trunk' => 0.5]],
                'jump' => ['family' => 'jump', 'landings_per_rep' => 1, 'channels' => ['arm' => 0, 'hand' => 0, 'trunk' => 0.3]],
            ],
            'limits' => [
                ['measure' => $measure(), 'window' => ['days' => mt_rand(1, 9)], 'max' => mt_rand(5, 160), ...$common('cap', 'cap')],
                ['measure' => $measure(), 'window' => ['session' => true], 'max' => mt_rand(5, 80), ...$common('session', 'cap')],
                ['measure' => mt_rand(0, 1) ? 'effort' : 'distance', 'max' => mt_rand(1, 20) / 20 * 30, ...$common('level', 'level')],
                [
                    'measure' => $measure(),
                    'table' => [['at_least' => 20, 'rest_days' => 1], ['at_least' => 40, 'rest_days' => 2]],
                    ...$common('rest', 'rest'),
                ],
                [
                    'measure' => $measure(),
                    'max_days' => mt_rand(1, 3),
                    ...(mt_rand(0, 1) ? ['at_least' => 15] : []),
                    ...$common('streak', 'streak'),
                ],
                ['measure' => $measure(), 'max_increase' => 0.15, 'floor' => mt_rand(20, 120), ...$common('step', 'step')],
            ],
            'history' => $history, 'plan' => $plan, 'sessions' => [],
            'template' => array_diff_key($this->set(self::ON), ['reps' => 0]),
        ];
    }

    /** @return array<string, mixed> */
    private function set(string $date): array
    {
        $skill = ['javelin', 'serve', 'jump'][mt_rand(0, 2)];

        return [
            'date' => $date, 'session' => 's'.mt_rand(1, 2), 'skill' => $skill, 'reps' => mt_rand(0, 25),
            'effort' => [null, 0.4, 0.85, 1.0][mt_rand(0, 3)],
            'object' => ['shadow', 'light', 'standard', 'heavy', 'body'][mt_rand(0, 4)], 'side' => mt_rand(0, 3) ? 'dominant' : 'other',
            'surface' => 'firm', ...(mt_rand(0, 1) ? ['distance_m' => (float) mt_rand(3, 30)] : []),
        ];
    }

    private function day(int $offset): string
    {
        return date('Y-m-d', strtotime(self::ON." {$offset} days"));
    }

    /** @param  array<string, mixed>  $set */
    private function cost(array $set, string $measure): float
    {
        $n = $set['reps'];
        $real = $set['object'] !== 'shadow';
        $object = ['shadow' => 0.25, 'light' => 0.75, 'standard' => 1.0, 'heavy' => 1.25, 'body' => 1.0][$set['object']];
        $k = [
            'javelin' => ['arm' => 1.0, 'trunk' => 1.0, 'land' => 1],
            'serve' => ['arm' => 0.7, 'trunk' => 0.5, 'land' => 0],
            'jump' => ['arm' => 0.0, 'trunk' => 0.3, 'land' => 1],
        ][$set['skill']];

        return (float) match ($measure) {
            'reps' => $real ? $n : 0,
            'high_reps' => $real && ($set['effort'] === null || $set['effort'] >= 0.85) ? $n : 0,
            'metres' => $real ? $n * ($set['distance_m'] ?? 0) : 0,
            'landings' => $n * $k['land'],
            default => $n * ($set['effort'] ?? 1.0) * $object * $k[$measure],
        };
    }

    /** @param  array<string, mixed>  $set */
    private function fits(array $limit, array $set): bool
    {
        $filter = $limit['filter'] ?? [];
        $family = ['javelin' => 'throw', 'serve' => 'serve', 'jump' => 'jump'][$set['skill']];

        return (! isset($filter['families']) || in_array($family, $filter['families'], true))
            && (! isset($filter['side']) || $filter['side'] === $set['side'])
            && (! isset($filter['skills']) || in_array($set['skill'], $filter['skills'], true))
            && (! isset($filter['objects']) || in_array($set['object'], $filter['objects'], true));
    }

    /** @param  list<array<string, mixed>>  $sets */
    private function sum(array $limit, array $sets, int $from, int $to): float
    {
        $sum = 0.0;
        foreach ($sets as $set) {
            if ($this->fits($limit, $set) && $set['date'] >= $this->day($from) && $set['date'] <= $this->day($to)) {
                $sum += $this->cost($set, $limit['measure']);
            }
        }

        return $sum;
    }

    /**
     * @param  array<string, mixed>  $limit
     * @param  array<string, mixed>  $case
     * @param  list<array<string, mixed>>  $plan
     * @return array<string, mixed>
     */
    private function state(array $limit, array $case, array $plan): array
    {
        $history = $case['history'];
        $today = array_values(array_filter($plan, fn (array $set): bool => $set['date'] === self::ON && $this->fits($limit, $set)));
        $both = [...$history, ...$today];
        $near = fn (float $projected, float $max): string => $projected > $max + 1e-9
            ? 'over'
            : ($projected > 0.9 * $max + 1e-9 ? 'near' : 'within');
        if ($limit['kind'] === 'cap' && isset($limit['window']['days'])) {
            $from = 1 - $limit['window']['days'];
            $projected = $this->sum($limit, $both, $from, 0);

            return [
                'used' => $this->sum($limit, $history, $from, 0),
                'projected' => $projected,
                'max' => (float) $limit['max'],
                'remaining' => (float) max(0, $limit['max'] - $projected),
                'status' => $near($projected, $limit['max']),
            ];
        }
        if ($limit['kind'] === 'cap') {
            $sums = [];
            foreach ($both as $set) {
                if (
                    $set['date'] === self::ON
                    && $this->fits($limit, $set)
                    && ($today === [] || in_array($set['session'], array_column($today, 'session'), true))
                ) {
                    $sums[$set['session']] = ($sums[$set['session']] ?? 0.0) + $this->cost($set, $limit['measure']);
                }
            }
            $projected = (float) max([0.0, ...array_values($sums)]);

            return ['used' => $today === [] ? $projected : 0.0, 'projected' => $projected, 'status' => $near($projected, $limit['max'])];
        }
        if ($limit['kind'] === 'level') {
            $level = fn (array $set): float => (float) ($limit['measure'] === 'effort' ? $set['effort'] ?? 1.0 : $set['distance_m'] ?? 0.0);
            $projected = (float) max([0.0, ...array_map($level, $today)]);
            $done = array_filter($history, fn (array $set): bool => $set['date'] === self::ON && $this->fits($limit, $set));

            return [
                'used' => (float) max([0.0, ...array_map($level, array_values($done))]),
                'projected' => $projected,
                'status' => $projected > $limit['max'] + 1e-9 ? 'over' : 'within',
            ];
        }
        if ($limit['kind'] === 'rest') {
            $earliest = 0;
            for ($back = 1; $back <= 30; $back++) {
                foreach ($limit['table'] as $row) {
                    if ($this->sum($limit, $history, -$back, -$back) >= $row['at_least'] - 1e-9) {
                        $earliest = max($earliest, $row['rest_days'] + 1 - $back);
                    }
                }
            }

            return [
                'used' => null,
                'earliest' => $this->day($earliest),
                'status' => $earliest > 0 && $this->sum($limit, $today, 0, 0) > 0 ? 'over' : 'within',
            ];
        }
        if ($limit['kind'] === 'streak') {
            $counts = fn (float $amount): bool => $amount > 0 && $amount >= ($limit['at_least'] ?? 0) - 1e-9;
            $run = 0;
            while ($counts($this->sum($limit, $history, -$run - 1, -$run - 1))) {
                $run++;
            }
            $used = $run + ($counts($this->sum($limit, $history, 0, 0)) ? 1 : 0);
            $projected = $counts($this->sum($limit, $both, 0, 0)) ? $run + 1 : 0;

            return [
                'used' => $used,
                'projected' => $projected,
                'remaining' => max(0, $limit['max_days'] - max($used, $projected)),
                'status' => $projected > $limit['max_days'] ? 'over' : 'within',
            ];
        }
        $max = 1.15 * max($this->sum($limit, $history, -34, -7) / 4, $limit['floor']);
        $projected = $this->sum($limit, $both, -6, 0);

        return [
            'used' => $this->sum($limit, $history, -6, 0),
            'projected' => $projected,
            'max' => $max,
            'status' => $near($projected, $max),
        ];
    }

    /**
     * @param  array<string, mixed>  $case
     * @return array{int|null, list<string>}
     */
    private function headroom(array $case): array
    {
        $touched = array_values(array_filter($case['limits'], function (array $limit) use ($case): bool {
            $one = ['reps' => 1] + $case['template'];
            if ($limit['severity'] !== 'hard' || ! $this->fits($limit, $one)) {
                return false;
            }

            return $limit['kind'] === 'level'
                ? $limit['measure'] === 'effort' || isset($one['distance_m'])
                : $this->cost($one, $limit['measure']) > 0;
        }));
        $over = fn (int $n): array => array_values(array_map(fn (array $limit): string => $limit['id'], array_filter(
            $touched,
            fn (array $limit): bool => $this->state(
                $limit,
                $case,
                [...$case['plan'], ['reps' => $n, 'date' => self::ON] + $case['template']],
            )['status'] === 'over',
        )));
        if ($over(10_000) === []) {
            return [null, []];
        }
        for ($n = 1; $over($n) === []; $n++);

        return [$n - 1, $over($n)];
    }
}
