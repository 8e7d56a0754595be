<?php

declare(strict_types=1);

namespace Augendo\Core\Tests;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Squads drawn by a seed as cases of the evaluator, what must hold of an answer read once more from plain arrays, and the simple way:
 * round by round
 * one piece each, as long as the longest that fits, most work left first, the first space that holds it.
 */
final class StationSquads
{
    private const KINDS = ['rehearsal', 'part', 'whole', 'target', 'game_like', 'other_side'];

    private const NOTHING = ['distance' => [null], 'hard' => false, 'far' => false, 'landing' => false, 'adult' => false, 'balls' => 0];

    private const SKILLS = [
        'javelin' => ['distance' => [12, 18, 25], 'hard' => true, 'far' => true, 'adult' => true, 'balls' => 1],
        'shot' => ['distance' => [6, 9], 'hard' => true, 'far' => true, 'adult' => true, 'balls' => 1],
        'float-serve' => ['distance' => [4, 6, 9], 'balls' => 3],
        'jump-serve' => ['distance' => [9], 'landing' => true, 'balls' => 3],
        'jump' => ['landing' => true],
        'throw' => ['distance' => [5, 10, 20], 'hard' => true, 'balls' => 1],
    ];

    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return array<string, mixed> */
    public function draw(): array
    {
        $skills = array_slice($this->random->shuffleArray(array_keys(self::SKILLS)), 0, $this->random->getInt(1, 4));

        return [
            'kind' => 'stations', 'minutes' => $this->one([20, 45, 60, 90]), 'adults' => $this->random->getInt(0, 4),
            'balls' => $this->one([2, 6, 20, 60]), 'warm_up_min' => $this->one([0, 5, 8]), 'cool_down_min' => $this->one([0, 4]),
            'change_over_min' => $this->one([0, 1, 2]), 'least_round_min' => $this->one([2, 4]),
            'spaces' => array_map(fn (int $i): array => [
                'id' => "s{$i}", 'length_m' => $this->one([8, 12, 20, 28, 40]), 'lanes' => $this->one([1, 2, 4, 8]),
                'surface' => $this->one(['soft', 'sprung', 'firm', 'hard', null]), 'sector' => $this->random->getInt(0, 2) === 0,
            ], range(1, $this->random->getInt(1, 5))),
            'athletes' => array_map(fn (int $i): array => [
                'id' => "a{$i}", 'may_catch' => $this->random->getInt(0, 7) > 0, 'work' => $this->work($skills),
            ], range(1, $this->one([1, 4, 8, 13, 25]))),
        ];
    }

    /**
     * @param  array<string, mixed>  $case
     * @param  array<string, mixed>  $answer
     * @return list<string> what does not hold
     */
    public static function faults(array $case, array $answer): array
    {
        $bad = [];
        $work = array_column($case['athletes'], 'work', 'id');
        $mayCatch = array_column($case['athletes'], 'may_catch', 'id');
        $spaces = array_column($case['spaces'], null, 'id');
        $out = [];
        foreach ($answer['left_out'] as $left) {
            $out[$left['id']][$left['work']] = $left['why'];
            $bad[] = $left['why'] === self::why($case, $work[$left['id']][$left['work']]) ? '' : 'why';
        }
        $placed = array_fill_keys(array_keys($work), []);
        $earliest = $case['warm_up_min'];
        foreach ($answer['rounds'] as $round) {
            $bad[] = $round['start_min'] >= $earliest && $round['minutes'] >= $case['least_round_min']
                && $round['start_min'] + $round['minutes'] <= $case['minutes'] - $case['cool_down_min'] ? '' : 'the clock';
            $earliest = $round['start_min'] + $round['minutes'] + $case['change_over_min'];
            $where = $round['off'];
            $balls = 0;
            $room = $skillIn = $adultIn = [];
            foreach ($round['places'] as $place) {
                $space = $spaces[$place['space']];
                $bad[] = isset($room[$space['id']]) ? 'two places in a space' : '';
                [$lanes, $workers, $helpers] = [0.0, 0, 0];
                foreach ($place['athletes'] as $each) {
                    $where[] = $each['id'];
                    $pieces = array_map(fn (int $j): array => $work[$each['id']][$j], $each['work']);
                    $placed[$each['id']] = [...$placed[$each['id']], ...$each['work']];
                    $bad[] = ($each['task'] === 'works') === ($pieces !== []) ? '' : 'the task';
                    $bad[] = $pieces === [] && ! $mayCatch[$each['id']] ? 'helps though may not' : '';
                    foreach ($pieces as $piece) {
                        $bad[] = $piece['skill'] === $place['skill'] && self::holds($case, $space, $piece)
                            && (! $piece['needs_adult'] || $place['adult']) ? '' : 'the place';
                    }
                    $bad[] = array_sum(array_column($pieces, 'seconds')) > 60 * $round['minutes'] ? 'longer than the round' : '';
                    $lanes += $pieces === [] ? 0.0 : (array_unique(array_column($pieces, 'kind')) === ['rehearsal'] ? 0.5 : 1.0);
                    $balls += max([0, ...array_column($pieces, 'balls')]);
                    $workers += $pieces === [] ? 0 : 1;
                    $helpers += $pieces === [] ? 1 : 0;
                }
                $bad[] = $lanes <= $space['lanes'] && $helpers <= $workers && $workers > 0 ? '' : 'lanes or helpers';
                $room[$space['id']] = $space['lanes'] - $lanes;
                [$skillIn[$space['id']], $adultIn[$space['id']]] = [$place['skill'], $place['adult']];
            }
            sort($where);
            $everybody = array_keys($work);
            sort($everybody);
            $adults = count(array_filter($adultIn));
            $bad[] = $where === $everybody ? '' : 'once in one place or off';
            $bad[] = $adults <= $case['adults'] && $balls <= $case['balls'] && $room !== [] ? '' : 'adults, balls or nobody';
            foreach ($round['off'] as $id) {
                $next = array_values(array_filter(
                    array_keys($work[$id]),
                    fn (int $j): bool => ! in_array($j, $placed[$id], true) && ($out[$id][$j] ?? 'time') === 'time',
                ))[0] ?? null;
                $piece = $next === null ? null : $work[$id][$next];
                if ($piece === null || $piece['seconds'] > 60 * $round['minutes'] || $balls + $piece['balls'] > $case['balls']) {
                    continue;
                }
                foreach ($case['spaces'] as $space) {
                    $free = isset($room[$space['id']])
                        ? $skillIn[$space['id']] === $piece['skill'] && self::share($piece) <= $room[$space['id']]
                            && (! $piece['needs_adult'] || $adultIn[$space['id']])
                        : ! $piece['needs_adult'] || $adults < $case['adults'];
                    $bad[] = $free && self::holds($case, $space, $piece) ? 'off though there was room' : '';
                }
            }
        }
        $seconds = self::seconds($case, $answer);
        $rounds = $answer['rounds'];
        $last = $rounds[count($rounds) - 1] ?? null;
        $span = $last === null ? 0 : $last['start_min'] + $last['minutes'] - $rounds[0]['start_min'];
        foreach ($work as $id => $pieces) {
            $all = [...$placed[$id], ...array_keys($out[$id] ?? [])];
            sort($all);
            $inOrder = $placed[$id];
            sort($inOrder);
            $bad[] = $inOrder === $placed[$id] ? '' : 'out of order';
            $bad[] = $all === array_keys($pieces) ? '' : 'lost or doubled';
            $share = $span === 0 ? 0.0 : $seconds[$id] / 60 / $span;
            $bad[] = abs($share - ((array) $answer['useful_share'])[$id]) < 1e-9 ? '' : 'the useful share';
        }

        return array_values(array_unique(array_filter($bad)));
    }

    /**
     * @param  array<string, mixed>  $case
     * @param  array<string, mixed>  $answer
     * @return array<string, int> seconds of own work placed, by athlete
     */
    public static function seconds(array $case, array $answer): array
    {
        $work = array_column($case['athletes'], 'work', 'id');
        $seconds = array_map(fn (): int => 0, $work);
        foreach ($answer['rounds'] as $round) {
            foreach (array_merge([], ...array_column($round['places'], 'athletes')) as $each) {
                foreach ($each['work'] as $j) {
                    $seconds[$each['id']] += $work[$each['id']][$j]['seconds'];
                }
            }
        }

        return $seconds;
    }

    /**
     * @param  array<string, mixed>  $case
     * @return array{int, bool} seconds the simple way places, and whether it runs out of time
     */
    public static function simple(array $case): array
    {
        $todo = [];
        foreach ($case['athletes'] as $athlete) {
            $can = array_filter($athlete['work'], fn (array $piece): bool => self::why($case, $piece) === 'time');
            $todo[$athlete['id']] = array_values($can);
        }
        [$start, $end, $sum] = [$case['warm_up_min'], $case['minutes'] - $case['cool_down_min'], 0];
        while (array_filter($todo) !== []) {
            $lengths = array_map(
                fn (array $pieces): int => max($case['least_round_min'], intdiv($pieces[0]['seconds'] + 59, 60)),
                array_filter($todo),
            );
            $fitting = array_filter($lengths, fn (int $minutes): bool => $minutes <= $end - $start);
            if ($fitting === []) {
                break;
            }
            $placed = self::oneRound($case, $todo, 60 * max($fitting));
            if ($placed === 0) {
                break;
            }
            $sum += $placed;
            $start += max($fitting) + $case['change_over_min'];
        }

        return [$sum, array_filter($todo) !== []];
    }

    /**
     * @param  array<string, mixed>  $case
     * @param  array<string, list<array<string, mixed>>>  $todo
     */
    private static function oneRound(array $case, array &$todo, int $seconds): int
    {
        $left = array_map(fn (array $pieces): int => array_sum(array_column($pieces, 'seconds')), array_filter($todo));
        arsort($left);
        [$places, $balls, $adults, $sum] = [[], 0, 0, 0];
        foreach (array_keys($left) as $id) {
            $piece = $todo[$id][0];
            if ($piece['seconds'] > $seconds || $balls + $piece['balls'] > $case['balls']) {
                continue;
            }
            foreach ($case['spaces'] as $space) {
                $place = $places[$space['id']] ?? ['skill' => $piece['skill'], 'adult' => false, 'full' => 0.0];
                $more = $piece['needs_adult'] && ! $place['adult'];
                if (
                    ! self::holds($case, $space, $piece) || $place['skill'] !== $piece['skill']
                    || $space['lanes'] < $place['full'] + self::share($piece) || ($more && $adults >= $case['adults'])
                ) {
                    continue;
                }
                $adults += (int) $more;
                $places[$space['id']] = [
                    'skill' => $piece['skill'], 'adult' => $place['adult'] || $more, 'full' => $place['full'] + self::share($piece),
                ];
                $balls += $piece['balls'];
                $sum += $piece['seconds'];
                array_shift($todo[$id]);
                break;
            }
        }

        return $sum;
    }

    /**
     * @param  list<string>  $skills
     * @return list<array<string, mixed>>
     */
    private function work(array $skills): array
    {
        if ($this->random->getInt(0, 11) === 0) {
            return [];
        }
        $work = [];
        foreach (array_slice($this->random->shuffleArray($skills), 0, $this->random->getInt(1, 2)) as $skill) {
            $about = [...self::NOTHING, ...self::SKILLS[$skill]];
            $distance = $this->one($about['distance']);
            foreach (self::KINDS as $kind) {
                if ($this->random->getInt(0, 99) < 55) {
                    $object = $kind !== 'rehearsal';
                    $work[] = [
                        'skill' => $skill, 'kind' => $kind, 'seconds' => $this->one([60, 120, 240, 360, 480]),
                        'distance_m' => $object ? $distance : null, 'hard' => $object && $about['hard'], 'far' => $object && $about['far'],
                        'landing' => $object && $about['landing'], 'needs_adult' => $object && $about['adult'],
                        'balls' => $object ? $about['balls'] : 0,
                    ];
                }
            }
        }

        return $work;
    }

    private function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }

    private static function share(array $piece): float
    {
        return $piece['kind'] === 'rehearsal' ? 0.5 : 1.0;
    }

    private static function holds(array $case, array $space, array $piece): bool
    {
        $isHard = fn (array $each): bool => in_array($each['surface'], ['hard', null], true);
        $another = array_filter($case['spaces'], fn (array $each): bool => ! $isHard($each)) !== [];

        return ($piece['distance_m'] === null || $space['length_m'] >= $piece['distance_m'] + 3)
            && (! $piece['far'] || $space['sector'])
            && (! $piece['landing'] || ! $isHard($space) || ! $another)
            && self::share($piece) <= $space['lanes'];
    }

    private static function why(array $case, array $piece): string
    {
        return match (true) {
            array_filter($case['spaces'], fn (array $space): bool => self::holds($case, $space, $piece)) === [] => 'space',
            $piece['balls'] > $case['balls'] => 'balls',
            $piece['needs_adult'] && $case['adults'] === 0 => 'adult',
            default => 'time',
        };
    }
}
