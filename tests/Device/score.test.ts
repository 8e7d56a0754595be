import { describe, expect, test } from 'vitest';
import { moved } from '../../resources/app/rules/moves';
import { chunk, isFull, type Kind, NOW, SEEN, type Tap } from '../../resources/app/rules/score';

const ROUND = { zones: 2, balls: 3, points: 5, targets: 2, gaps: 2, passes: 2 };
/** Taps in short: x a hit or in, o a miss or out. */
const taps = (marks: string): Tap[] => [...marks].map((mark) => mark === 'x');
const taking = (kind: Kind, marks: string) => ({
    kind,
    round: ROUND,
    taps: taps(marks),
    // A tap a second and a half.
    at: [...marks].map((_, i) => 1500 * i),
});

describe('a target round', () => {
    test.each([
        ['', 'zone 1, ball 1; 0 points', false],
        ['xo', 'zone 1, ball 3; 5 points', false],
        ['xox', 'zone 2, ball 1; 10 points', false],
        ['xoxxx', 'zone 2, ball 3; 20 points', false],
        ['xoxxxo', 'zone 2, ball 1; 20 points', true],
    ])('after “%s”: %s', (marks, now, full) => {
        expect(NOW.target_round(taking('target_round', marks))).toBe(now);
        expect(isFull(taking('target_round', marks))).toBe(full);
    });
    test('is sent zone by zone', () => {
        expect(SEEN.target_round(taking('target_round', 'xoxo'))).toEqual({
            points_each: 5,
            zones: [[true, false, true], [false]],
        });
        expect(chunk([], 3)).toEqual([]);
    });
});

describe('clearing the targets', () => {
    test('ends with the last target, however many throws it took', () => {
        expect(isFull(taking('clear_targets', 'ooooxo'))).toBe(false);
        expect(isFull(taking('clear_targets', 'ooooxox'))).toBe(true);
        expect(NOW.clear_targets(taking('clear_targets', 'oox'))).toBe('1 of 2 cleared, 3 throws');
        expect(SEEN.clear_targets(taking('clear_targets', 'oxx'))).toEqual({ throws: 3, targets: 2 });
    });
});

describe('in a row', () => {
    test.each([
        ['', '0 in a row now, longest 0'],
        ['xxo', '0 in a row now, longest 2'],
        ['xxoxxx', '3 in a row now, longest 3'],
        ['ooo', '0 in a row now, longest 0'],
    ])('after “%s”: %s', (marks, now) => {
        expect(NOW.in_a_row(taking('in_a_row', marks))).toBe(now);
        expect(isFull(taking('in_a_row', marks))).toBe(false);
    });
});

describe('a serve game, two attempts a point', () => {
    test.each([
        ['', 'first serve, point 1', []],
        ['x', 'first serve, point 2', [[true, null]]],
        ['o', 'second serve, point 1', []],
        ['ox', 'first serve, point 2', [[false, true]]],
        ['oo', 'first serve, point 2', [[false, false]]],
        ['xoo', 'first serve, point 3', [[true, null], [false, false]]], // prettier-ignore
        ['oox', 'first serve, point 3', [[false, false], [true, null]]], // prettier-ignore
        ['xo', 'second serve, point 2', [[true, null]]],
    ])('after “%s”: %s', (marks, now, points) => {
        expect(NOW.serve_game(taking('serve_game', marks))).toBe(now);
        // A point that waits for its second serve is no point yet.
        expect(SEEN.serve_game(taking('serve_game', marks))).toEqual({ points });
    });
});

describe('gaps against the clock', () => {
    test.each([
        ['', 'gap 1 of 2, 0 of 2 through', [], false],
        ['xo', 'gap 1 of 2, 1 of 2 through', [], false],
        ['xox', 'gap 2 of 2, 0 of 2 through; 3.0 s', [3], false],
        ['xoxoxx', 'gap 2 of 2, 0 of 2 through; 3.0 s, 3.0 s', [3, 3], true],
    ])('after “%s”: %s', (marks, now, times, full) => {
        expect(NOW.timed_gaps(taking('timed_gaps', marks))).toBe(now);
        expect(isFull(taking('timed_gaps', marks))).toBe(full);
        // A ball that misses takes its time as well.
        expect(SEEN.timed_gaps(taking('timed_gaps', marks))).toEqual({ passes: 2, times, throws: marks.length });
    });
});

test('a grouping is the places that were touched', () => {
    const places: Tap[] = [
        [0.1, -0.2],
        [0.3, 0],
    ];
    const grouping = { kind: 'grouping' as const, round: ROUND, taps: places, at: [0, 1500] };
    expect([NOW.grouping(grouping), SEEN.grouping(grouping), isFull(grouping)]).toEqual([
        '2 places',
        { points: places },
        false,
    ]);
});

describe('sessions of a season that are moved', () => {
    const [mon, tue, wed] = ['2026-11-23', '2026-11-24', '2026-11-25'];
    test('once is a move', () => {
        expect(moved([], mon, tue)).toEqual([{ from: mon, to: tue }]);
    });
    test('twice is one move, from where it was planned', () => {
        expect(moved(moved([], mon, tue), tue, wed)).toEqual([{ from: mon, to: wed }]);
    });
    test('home again is none', () => {
        expect(moved(moved([], mon, tue), tue, mon)).toEqual([]);
    });
    test('others stay as they are', () => {
        const both = moved(moved([], mon, tue), wed, '2026-11-27');
        expect(moved(both, tue, mon)).toEqual([{ from: wed, to: '2026-11-27' }]);
    });
});
