import { describe, expect, test } from 'vitest';
import { pairsByTime } from '../../resources/app/screens/film/pairs';

const at = (seconds: number): number => 1_000_000 + 1000 * seconds;
const reps = (...seconds: number[]) => seconds.map((each, i) => ({ rep: i + 1, atMs: at(each) }));
const taps = (...seconds: number[]) => seconds.map((each) => ({ id: `tap ${each}`, atMs: at(each) }));

describe('a clip and what was counted, paired by the clock', () => {
    test('each with the tap that follows it, whatever order they are given in', () => {
        expect(pairsByTime(reps(0, 10, 20), taps(23, 3, 13))).toEqual({ 1: 'tap 3', 2: 'tap 13', 3: 'tap 23' });
    });

    test('one that was not tapped, and taps of another athlete’s turn', () => {
        expect(pairsByTime(reps(0, 10, 60), taps(12, 300))).toEqual({ 2: 'tap 12' });
        expect(pairsByTime(reps(0), taps())).toEqual({});
        expect(pairsByTime([], taps(3))).toEqual({});
    });

    test('as many as there can be, each tap once, in the order both came', () => {
        // The nearest tap of the first is that of the second as well: both are paired all the same.
        expect(pairsByTime(reps(0, 2), taps(4, 9))).toEqual({ 1: 'tap 4', 2: 'tap 9' });
        expect(pairsByTime(reps(0, 1, 2), taps(3))).toEqual({ 1: 'tap 3' });
    });

    test('a clock that is minutes off pairs nothing', () => {
        expect(pairsByTime(reps(0, 10), taps(200, 210))).toEqual({});
    });

    test('thirty tries and sixty taps are no work', () => {
        const many = Array.from({ length: 60 }, (_, i) => i * 7 + 3);
        const found = pairsByTime(reps(...many.filter((_, i) => i % 2 === 0).map((each) => each - 3)), taps(...many));
        expect(Object.keys(found)).toHaveLength(30);
        expect(found[1]).toBe('tap 3');
        expect(found[30]).toBe(`tap ${58 * 7 + 3}`);
    });
});
