<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Augendo\Core\Cases\Evaluator;
use PHPUnit\Framework\TestCase;

/**
 * The day's word, the gate and the way back against a second, plain reading of their rules, on thousands of random cases. Written from the
 * rules and not from the code, with arrays and words instead of objects.
 */
final class RulesOracleTest extends TestCase
{
    private const ON = '2027-05-20';

    private const CHANNELS = [
        'arm' => ['neck', 'shoulder', 'upper_arm', 'elbow', 'forearm'], 'hand' => ['wrist', 'hand', 'finger'],
        'trunk' => ['chest', 'back', 'side', 'hip'], 'landing' => ['thigh', 'knee', 'shin', 'ankle', 'foot'],
    ];

    private const RANK = ['full' => 0, 'unknown' => 1, 'reduced' => 2, 'none' => 3, 'refer' => 4];

    public function test_the_days_word(): void
    {
        for ($seed = 1; $seed <= 3000; $seed++) {
            mt_srand($seed);
            $sites = ['shoulder', 'elbow', 'wrist', 'knee', 'back', 'head', 'hip'];
            $reports = [];
            for ($i = mt_rand(0, 7); $i > 0; $i--) {
                $none = mt_rand(0, 5) === 0;
                $reports[] = [
                    'at' => sprintf(
                        '2027-05-%02dT%02d:%02d:00+02:00',
                        20 - min(mt_rand(0, 4), mt_rand(0, 4)),
                        mt_rand(6, 21),
                        mt_rand(0, 3) * 15,
                    ),
                    'moment' => ['morning', 'before', 'warmup', 'during', 'after'][mt_rand(0, 4)],
                    'site' => $none ? 'none' : $sites[mt_rand(0, mt_rand(0, 6))],
                    'side' => ['left', 'right', null][mt_rand(0, 2)],
                    'kind' => ['muscle', 'muscle', 'joint', 'sharp', 'numb', 'swelling', 'skin', 'head'][mt_rand(0, 7)],
                    'score' => $none ? 0 : mt_rand(0, mt_rand(2, 10)),
                ];
            }
            $clearances = [];
            for ($i = mt_rand(0, 2); $i > 0; $i--) {
                $clearances[] = [
                    'at' => sprintf('2027-05-%02dT%02d:30:00+02:00', mt_rand(17, 20), mt_rand(6, 21)),
                    'sites' => mt_rand(0, 1) ? null : [$sites[mt_rand(0, 6)], $sites[mt_rand(0, 6)]],
                ];
            }
            $school = ['graded', 'strict'][mt_rand(0, 1)];
            $answer = Evaluator::answer(
                (string) json_encode([
                    'kind' => 'readiness',
                    'on' => self::ON,
                    'birth_date' => '1999-01-01',
                    'school' => $school,
                    'reports' => $reports,
                    'clearances' => $clearances,
                ]),
            );
            $this->assertSame($this->words($reports, $clearances, $school), $answer['channels'] ?? $answer, "seed {$seed}");
            $this->assertSame($this->worst(array_values($answer['channels'])), $answer['word'], "seed {$seed}");
        }
    }

    /**
     * @param  list<array<string, mixed>>  $reports
     * @param  list<array<string, mixed>>  $clearances
     * @return array<string, string>
     */
    private function words(array $reports, array $clearances, string $school): array
    {
        $time = fn (array $r): int => (int) strtotime($r['at']);
        $day = fn (array $r): string => substr($r['at'], 0, 10);
        usort($reports, fn (array $a, array $b): int => $time($a) <=> $time($b));
        $cleared = fn (array $r): bool => array_filter(
            $clearances,
            fn (array $c): bool => $time($c) > $time($r) && ($c['sites'] === null || in_array($r['site'], $c['sites'], true)),
        ) !== [];
        $all = fn (array $r): bool => in_array($r['kind'], ['head', 'numb', 'locking'], true)
            || in_array($r['site'], ['neck', 'chest', 'back', 'head'], true);
        $checkedIn = array_filter($reports, fn (array $r): bool => $day($r) === self::ON) !== [];
        $channels = array_fill_keys(array_keys(self::CHANNELS), $checkedIn ? 'full' : 'unknown');
        $raise = function (string $channel, string $word) use (&$channels): void {
            $channels[$channel] = $this->worst([$channels[$channel], $word]);
        };
        $owns = fn (array $r): array => $r['site'] === 'head'
            ? array_keys(self::CHANNELS)
            : array_keys(array_filter(self::CHANNELS, fn (array $sites): bool => in_array($r['site'], $sites, true)));
        $refer = function (array $r) use ($raise, $owns, $all): void {
            foreach (array_keys(self::CHANNELS) as $channel) {
                $raise($channel, $all($r) || in_array($channel, $owns($r), true) ? 'refer' : 'reduced');
            }
        };
        foreach ($reports as $r) {
            if ($this->word($r, $school) === 'refer' && ! $cleared($r)) {
                $refer($r);
            }
        }
        $places = [];
        foreach ($reports as $r) {
            if ($r['site'] !== 'none') {
                $places["{$r['site']}/{$r['side']}"][$day($r)][] = $r;
            }
        }
        foreach ($places as $place => $days) {
            ksort($days);
            $on = array_key_last($days);
            $today = $days[$on];
            $own = fn (array $r): string => $cleared($r) && $this->word($r, $school) === 'refer' ? 'reduced' : $this->word($r, $school);
            $latest = end($today);
            $word = $own($latest);
            $sore = fn (array $r): bool => $r['kind'] === 'muscle' && $r['score'] >= 3;
            if ($latest['moment'] === 'warmup' && $sore($latest)) {
                $word = $this->worst([$word, $this->worse($own($latest), $latest['kind'])]);
            }
            foreach ($today as $r) {
                if ($r['moment'] === 'during') {
                    $word = $this->worst([$word, $sore($r) ? $this->worse($own($r), $r['kind']) : $own($r)]);
                }
                if ($own($latest) === 'full' && $own($r) !== 'full') {
                    $word = $this->worst([$word, 'reduced']);
                }
            }
            $highest = [];
            foreach ($reports as $r) {
                if ("{$r['site']}/{$r['side']}" === $place) {
                    $highest[$day($r)] = max($highest[$day($r)] ?? 0, $r['score']);
                }
            }
            $ago = fn (int $n): ?int => $highest[date('Y-m-d', (int) strtotime("{$on} -{$n} days"))] ?? null;
            [$a, $b, $c] = [$ago(2), $ago(1), $ago(0)];
            $trend = $a !== null && $b !== null && $c !== null && (min($a, $b, $c) >= 3 || ($a < $b && $b < $c && $c >= 3));
            $before = $word;
            if ($trend) {
                $word = $this->worse($word, $latest['kind']);
            }
            if ($word === 'refer' && $before !== 'refer') {
                if ($cleared($latest)) {
                    $word = $before;
                } else {
                    $refer($latest);

                    continue;
                }
            }
            if ($on === self::ON) {
                foreach ($owns($latest) as $channel) {
                    $raise($channel, $word);
                }
            }
        }

        return $channels;
    }

    /** @param  array<string, mixed>  $r */
    private function word(array $r, string $school): string
    {
        [$kind, $s, $strict] = [$r['kind'], $r['score'], $school === 'strict'];
        if ($s === 0) {
            return 'full';
        }
        if ($s >= 8 || in_array($kind, ['numb', 'swelling', 'locking', 'head'], true)) {
            return 'refer';
        }

        return match ($kind) {
            'sharp' => $s >= 4 ? 'refer' : 'none',
            'joint' => $s >= 5 ? 'refer' : ($strict || $s >= 3 ? 'none' : 'reduced'),
            'muscle' => $strict ? ($s >= 4 ? 'none' : ($s >= 2 ? 'reduced' : 'full')) : ($s >= 5 ? 'none' : ($s >= 3 ? 'reduced' : 'full')),
            default => $s >= 3 ? 'none' : 'full',
        };
    }

    private function worse(string $word, string $kind): string
    {
        return match ($word) {
            'full' => 'reduced',
            'reduced' => 'none',
            'none' => in_array($kind, ['muscle', 'skin'], true) ? 'none' : 'refer',
            default => $word,
        };
    }

    /** @param  list<string>  $words */
    private function worst(array $words): string
    {
        usort($words, fn (string $a, string $b): int => self::RANK[$b] <=> self::RANK[$a]);

        return $words[0];
    }

    public function test_the_gate(): void
    {
        for ($seed = 1; $seed <= 2000; $seed++) {
            mt_srand($seed);
            $reps = [];
            $skill = mt_rand(20, 100);
            $days = ['2027-03-01', '2027-05-10', '2027-05-14', '2027-05-17', '2027-05-18', '2027-05-19', '2027-05-20'];
            foreach (array_slice($days, mt_rand(0, 6)) as $day) {
                for ($i = mt_rand(0, 14); $i > 0; $i--) {
                    $good = mt_rand(0, 9) === 0 ? null : mt_rand(1, 100) <= $skill;
                    $reps[] = [
                        'at' => sprintf('%sT17:%02d:00+02:00', $day, $i),
                        'session' => $day === '2027-05-19' && $i > 7 ? 'late' : "s{$day}",
                        'good' => $good,
                        'safety' => $good === false && mt_rand(0, 11) === 0,
                    ];
                }
            }
            shuffle($reps);
            $soreness = [];
            for ($i = mt_rand(0, 4); $i > 0; $i--) {
                $soreness[] = [
                    'date' => sprintf('2027-05-%02d', mt_rand(16, 20)),
                    'moment' => ['morning', 'before', 'during'][mt_rand(0, 2)],
                    'score' => mt_rand(0, 4),
                ];
            }
            $gate = [];
            foreach (
                [
                    'window_sessions' => [1, 5],
                    'min_reps' => [4, 20],
                    'min_sessions' => [1, 3],
                    'streak' => [2, 8],
                    'safety_window_reps' => [5, 30],
                    'max_safety_faults' => [0, 2],
                    'soreness_days' => [1, 4],
                    'soreness_max' => [0, 4],
                    'max_age_days' => [2, 90],
                ] as $key => [$from, $to]
            ) {
                mt_rand(0, 2) === 0 && $gate[$key] = mt_rand($from, $to);
            }
            foreach (
                [
                    'target_rate' => [50, 95],
                    'lower_bound' => [30, 80],
                    'max_fade' => [0, 60],
                    'step_back_rate' => [10, 60],
                    'confidence' => [75, 97],
                ] as $key => [$from, $to]
            ) {
                mt_rand(0, 2) === 0 && $gate[$key] = mt_rand($from, $to) / 100;
            }
            mt_rand(0, 3) === 0 && $gate['needs_morning_after'] = false;
            mt_rand(0, 3) === 0 && $gate['confirm_after_fail'] = false;
            $maybe = fn (): ?bool => [true, true, true, false, null][mt_rand(0, 4)];
            $case = [
                'kind' => 'gate',
                'on' => self::ON,
                'gate' => (object) $gate,
                'reps' => $reps,
                'soreness' => $soreness,
                'word' => ['full', 'full', 'full', 'unknown', 'reduced', 'none', 'refer'][mt_rand(0, 6)],
                'load_ok' => $maybe(),
                'prerequisites_ok' => $maybe(),
                'clearance_ok' => [null, null, true, false][mt_rand(0, 3)],
            ];
            $answer = Evaluator::answer((string) json_encode($case));
            $this->assertEquals(
                $this->gate($case, $gate),
                [
                    'criteria' => $answer['criteria'] ?? $answer,
                    'decision' => $answer['decision'] ?? null,
                    'observed' => $answer['observed'] ?? null,
                    'good' => $answer['good'] ?? null,
                ],
                "seed {$seed}",
            );
        }
    }

    /**
     * @param  array<string, mixed>  $case
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private function gate(array $case, array $given): array
    {
        $g = $given + [
            'window_sessions' => 4,
            'min_reps' => 12,
            'min_sessions' => 2,
            'target_rate' => 0.8,
            'confidence' => 0.9,
            'lower_bound' => 0.65,
            'streak' => null,
            'safety_window_reps' => 20,
            'max_safety_faults' => 0,
            'max_fade' => 0.34,
            'soreness_days' => 3,
            'soreness_max' => 2,
            'needs_morning_after' => true,
            'step_back_rate' => 0.35,
            'max_age_days' => 60,
            'confirm_after_fail' => true,
        ];
        $day = fn (array $rep): string => substr($rep['at'], 0, 10);
        $back = fn (int $days): string => date('Y-m-d', (int) strtotime(self::ON." -{$days} days"));
        $reps = array_values(array_filter($case['reps'], fn (array $rep): bool => $day($rep) > $back($g['max_age_days'])));
        usort($reps, fn (array $a, array $b): int => strcmp($a['at'], $b['at']));
        [$sessions, $observed] = $this->sessionsOf($reps, $g['window_sessions']);
        $of = fn (string $session): array => array_values(array_filter($observed, fn (array $rep): bool => $rep['session'] === $session));
        $window = array_merge([], ...array_map($of, $sessions));
        $n = count($window);
        $good = count(array_filter($window, fn (array $rep): bool => $rep['good']));
        $enough = $n >= $g['min_reps'] && count(array_unique(array_map($day, $window))) >= $g['min_sessions'];
        $run = 0;
        foreach ($sessions as $session) {
            preg_match_all('/g+/', implode('', array_map(fn (array $rep): string => $rep['good'] ? 'g' : 'b', $of($session))), $runs);
            $run = max([$run, ...array_map(strlen(...), $runs[0])]);
        }
        $fade = 0.0;
        $last = $sessions === [] ? [] : $of(end($sessions));
        if (count($last) >= 9) {
            $k = intdiv(count($last), 3);
            $share = fn (array $part): float => count(array_filter($part, fn (array $rep): bool => $rep['good'])) / $k;
            $fade = $share(array_slice($last, 0, $k)) - $share(array_slice($last, -$k));
        }
        $recent = array_filter($case['soreness'], fn (array $s): bool => $s['date'] > $back($g['soreness_days']));
        $lastDay = $reps === [] ? null : $day($reps[count($reps) - 1]);
        $morning = $lastDay !== null && array_filter(
            $case['soreness'],
            fn (array $s): bool => $s['moment'] === 'morning' && $s['date'] > $lastDay,
        ) !== [];
        $bound = fn (): float => $this->wilson($good, $n, $g['confidence']);
        $orShort = fn (bool $passes): string => $passes ? 'pass' : ($enough ? 'fail' : 'short');
        $maybe = fn (?bool $holds): string => $holds === null ? 'unknown' : ($holds ? 'pass' : 'fail');
        $criteria = [
            'evidence' => $enough ? 'pass' : 'short',
            'mechanics' => $n === 0 ? 'unknown' : $orShort($good / $n >= $g['target_rate'] - 1e-9 && $bound() >= $g['lower_bound'] - 1e-9),
            'streak' => $orShort($g['streak'] === null || $run >= $g['streak']),
            'safety' => count(
                array_filter(array_slice($reps, -$g['safety_window_reps']), fn (array $rep): bool => $rep['safety']),
            ) <= $g['max_safety_faults']
                ? 'pass'
                : 'fail',
            'fade' => $fade <= $g['max_fade'] + 1e-9 ? 'pass' : 'fail',
            'soreness' => $recent !== [] && max(array_column($recent, 'score')) > $g['soreness_max']
                ? 'fail'
                : ($g['needs_morning_after'] && ! $morning ? 'unknown' : 'pass'),
            'readiness' => ['full' => 'pass', 'unknown' => 'unknown'][$case['word']] ?? 'fail',
            'load' => $maybe($case['load_ok']), 'prerequisites' => $maybe($case['prerequisites_ok']),
            'clearance' => $case['clearance_ok'] === false ? 'fail' : 'pass',
        ];
        if (
            $g['confirm_after_fail']
            && $criteria['evidence'] === 'pass'
            && $criteria['mechanics'] === 'pass'
            && ! $this->looksAreConfirmed($reps, $g)
        ) {
            $criteria['mechanics'] = 'short';
        }
        $decision = match (true) {
            in_array($case['word'], ['none', 'refer'], true) => 'pause',
            $criteria['safety'] === 'fail' || ($n >= $g['min_reps'] && $n > 0 && $good / $n < $g['step_back_rate'] - 1e-9) => 'step_back',
            array_unique(array_values($criteria)) === ['pass'] => 'advance',
            in_array('fail', [$criteria['mechanics'], $criteria['streak'], $criteria['fade']], true) => 'repeat',
            in_array('fail', $criteria, true) => 'hold',
            default => 'collect',
        };

        return ['criteria' => $criteria, 'decision' => $decision, 'observed' => $n, 'good' => $good];
    }

    /**
     * @param  list<array<string, mixed>>  $reps  in order of time
     * @return array{list<string>, list<array<string, mixed>>} the last sessions with observed repetitions, in order;
     *         and all observed repetitions
     */
    private function sessionsOf(array $reps, int $window): array
    {
        $latest = array_column($reps, 'at', 'session');
        $observed = array_values(array_filter($reps, fn (array $rep): bool => $rep['good'] !== null));
        $sessions = array_values(array_unique(array_column($observed, 'session')));
        usort($sessions, fn (string $a, string $b): int => strcmp($latest[$a], $latest[$b]));

        return [array_slice($sessions, -$window), $observed];
    }

    /**
     * @param  list<array<string, mixed>>  $reps  in order of time
     * @param  array<string, mixed>  $g
     */
    private function looksAreConfirmed(array $reps, array $g): bool
    {
        $day = fn (array $rep): string => substr($rep['at'], 0, 10);
        $looks = '';
        $dates = array_unique(array_map($day, $reps));
        sort($dates);
        foreach ($dates as $date) {
            [$sessions, $observed] = $this->sessionsOf(
                array_values(array_filter($reps, fn (array $rep): bool => $day($rep) <= $date)),
                $g['window_sessions'],
            );
            $seen = array_filter($observed, fn (array $rep): bool => in_array($rep['session'], $sessions, true));
            $n = count($seen);
            if (
                count(array_filter($observed, fn (array $rep): bool => $day($rep) === $date)) < 4
                || $n < $g['min_reps']
                || count(array_unique(array_map($day, $seen))) < $g['min_sessions']
            ) {
                continue;
            }
            $good = count(array_filter($seen, fn (array $rep): bool => $rep['good']));
            $looks .= $good / $n >= $g['target_rate'] - 1e-9 && $this->wilson($good, $n, $g['confidence']) >= $g['lower_bound'] - 1e-9
                ? 'p'
                : 'f';
        }

        return ! str_contains($looks, 'f') || str_ends_with($looks, 'pp');
    }

    /** The bound as the smaller root of (p̂ − p)² = z² p(1 − p)/n, z found by halving the error function's series. */
    private function wilson(int $good, int $n, float $confidence): float
    {
        [$low, $high] = [0.0, 10.0];
        for ($i = 0; $i < 100; $i++) {
            $z = ($low + $high) / 2;
            // Φ(z) by its power series about 0 (Abramowitz and Stegun 26.2.10).
            $term = $sum = $z;
            for ($k = 1; $k < 200; $k++) {
                $term *= -$z * $z / (2 * $k);
                $sum += $term / (2 * $k + 1);
            }
            0.5 + $sum / sqrt(2 * M_PI) < $confidence ? $low = $z : $high = $z;
        }
        $z = ($low + $high) / 2;
        $p = $good / $n;
        [$a, $b, $c] = [1 + $z * $z / $n, -(2 * $p + $z * $z / $n), $p * $p];

        return (-$b - sqrt(max(0.0, $b * $b - 4 * $a * $c))) / (2 * $a);
    }

    public function test_the_way_back(): void
    {
        for ($seed = 1; $seed <= 3000; $seed++) {
            mt_srand($seed);
            $stages = array_map(
                fn (): array => ['passes' => mt_rand(1, 2), 'min_gap_days' => mt_rand(1, 3), 'needs_clearance' => mt_rand(0, 3) === 0],
                range(1, mt_rand(1, 5)),
            );
            $top = count($stages) - 1;
            $attempts = [];
            $gap = mt_rand(1, 12);
            for ($day = 20 - mt_rand(0, 19); $day <= 20; $day += mt_rand(1, $gap)) {
                $attempts[] = [
                    'date' => sprintf('2027-05-%02d', $day),
                    'stage' => min($top, max(0, intdiv(count($attempts), 2) + mt_rand(-1, 1))),
                    'completed' => mt_rand(0, 5) > 0,
                    'during' => mt_rand(0, mt_rand(1, 6)),
                    'eased' => (bool) mt_rand(0, 1),
                    'next_morning' => [null, 0, 0, 1, 2, mt_rand(0, 6)][mt_rand(0, 5)],
                    'red_flag' => mt_rand(0, 25) === 0,
                ];
            }
            if (mt_rand(0, 6) === 0 && $attempts !== []) {
                $attempts = array_map(
                    fn (array $a): array => ['date' => date('Y-m-d', (int) strtotime("{$a['date']} -".mt_rand(25, 30).' days'))] + $a,
                    $attempts,
                );
                usort($attempts, fn (array $a, array $b): int => strcmp($a['date'], $b['date']));
            }
            $clearances = array_map(
                fn (): array => [
                    'date' => sprintf('2027-05-%02d', mt_rand(1, 20)),
                    'through_stage' => mt_rand(0, 1) ? null : mt_rand(0, $top),
                ],
                range(1, mt_rand(1, 2)),
            );
            mt_rand(0, 4) === 0 && $clearances = [];
            $stage = $attempts === [] || mt_rand(0, 2) === 0 ? mt_rand(0, $top) : $attempts[count($attempts) - 1]['stage'];
            $answer = Evaluator::answer(
                (string) json_encode([
                    'kind' => 'return',
                    'on' => self::ON,
                    'stages' => $stages,
                    'stage' => $stage,
                    'attempts' => $attempts,
                    'clearances' => $clearances,
                ]),
            );
            $this->assertSame(
                $this->step($stages, $stage, $attempts, $clearances),
                [$answer['action'] ?? $answer, $answer['stage'] ?? null, $answer['not_before'] ?? null],
                "seed {$seed}",
            );
        }
    }

    /**
     * @param  list<array<string, mixed>>  $stages
     * @param  list<array<string, mixed>>  $attempts
     * @param  list<array<string, mixed>>  $clearances
     * @return array{string, int, string|null}
     */
    private function step(array $stages, int $i, array $attempts, array $clearances): array
    {
        $g = $stages[$i]['min_gap_days'];
        $last = $attempts === [] ? null : $attempts[count($attempts) - 1];
        $isStop = fn (array $a): bool => $a['red_flag'] || $a['during'] >= 5 || ($a['next_morning'] ?? 0) >= 5;
        $midway = fn (?int $score): bool => $score === 3 || $score === 4;
        $isSore = fn (array $a): bool => ($midway($a['during']) && ! $a['eased']) || $midway($a['next_morning']);
        $stops = array_filter($attempts, $isStop);
        $lastStop = $stops === [] ? null : max(array_column($stops, 'date'));
        $covered = fn (int $k): bool => array_filter(
            $clearances,
            fn (array $c): bool => ($c['through_stage'] === null || $c['through_stage'] >= $k)
                && ($lastStop === null || $c['date'] > $lastStop),
        ) !== [];
        $after = fn (int $days): string => max(self::ON, date('Y-m-d', (int) strtotime("{$last['date']} +{$days} days")));
        $idle = $last === null ? 0 : (int) round((strtotime(self::ON) - strtotime($last['date'])) / 86400);
        if ($lastStop !== null && ! $covered(max($i - 1, 0))) {
            return ['stop', $i, null];
        }
        if ($last !== null && $idle >= 29 && $i > 0) {
            return ['restart', 0, self::ON];
        }
        if ($last !== null && $idle >= 15 && $i > max($last['stage'] - 2, 0)) {
            return ['step_back', max($last['stage'] - 2, 0), self::ON];
        }
        if ($last !== null && $idle >= 8 && $idle <= 14 && $i > max($last['stage'] - 1, 0)) {
            return ['step_back', max($last['stage'] - 1, 0), self::ON];
        }
        if ($last !== null && $isStop($last) && $i > max($last['stage'] - 1, 0)) {
            return ['step_back', max($last['stage'] - 1, 0), $after($g + 1)];
        }
        if ($stages[$i]['needs_clearance'] && ! $covered($i)) {
            return ['clear', $i, null];
        }
        if ($last === null) {
            return ['start', $i, self::ON];
        }
        if ($idle < 8 && $last['next_morning'] === null) {
            return ['wait', $i, null];
        }
        if ($isSore($last) && $last['stage'] < $i) {
            return ['step_back', $last['stage'], $after($g + 1)];
        }
        if ($last['stage'] !== $i || $idle >= 8) {
            return ['start', $i, $after($g + ($isSore($last) || $isStop($last) ? 1 : 0))];
        }
        if ($isSore($last)) {
            return ['step_back', max($i - 1, 0), $after($g + 1)];
        }
        if (! $last['completed'] || ($midway($last['during']) && $last['eased']) || $isStop($last)) {
            return ['repeat', $i, $after($g)];
        }
        $clean = 0;
        foreach (array_reverse($attempts) as $a) {
            if ($a['stage'] !== $i) {
                break;
            }
            $clean += $a['completed'] && ! $a['red_flag'] && $a['during'] <= 2 && $a['next_morning'] !== null && $a['next_morning'] <= 2
                ? 1
                : 0;
        }
        if ($clean < $stages[$i]['passes']) {
            return ['repeat', $i, $after($g)];
        }

        return $i === count($stages) - 1 ? ['done', $i, null] : ['advance', $i + 1, $after($stages[$i + 1]['min_gap_days'])];
    }
}
