import { describe, expect, test } from 'vitest';
import { beginsAt, inMinutes, phaseAt, rounds, sets } from '../../resources/app/rules/clock';

describe('a clock of work and rest', () => {
    const three = sets(3, 30, 15);
    test('there is a rest between two sets and none after the last', () => {
        expect(three.map((phase) => [phase.kind, phase.seconds])).toEqual([
            ['work', 30],
            ['rest', 15],
            ['work', 30],
            ['rest', 15],
            ['work', 30],
        ]);
        expect(sets(2, 10, 0).map((phase) => phase.what)).toEqual(['Set 1 of 2', 'Set 2 of 2']);
    });
    test.each([
        [0, 0, 30],
        [29.5, 0, 0.5],
        [30, 1, 15],
        [44, 1, 1],
        [45, 2, 30],
        [119, 4, 1],
    ])('after %s s it is in phase %s with %s s left', (passed, index, left) => {
        expect(phaseAt(three, passed)).toMatchObject({ index, leftS: left });
    });
    test('after the last it is over, and says what comes next until then', () => {
        expect(phaseAt(three, 120)).toBeNull();
        expect(phaseAt([], 0)).toBeNull();
        expect(phaseAt(three, 31)?.next?.what).toBe('Set 2 of 3');
        expect(phaseAt(three, 100)?.next).toBeNull();
        expect(beginsAt(three, 2)).toBe(45);
    });
});

test('the rounds of a session have the time to change between them, over midnight too', () => {
    expect(
        rounds([
            { starts_at: '23:50', minutes: 9, what: 'A' },
            { starts_at: '00:00', minutes: 5, what: 'B' },
            { starts_at: '00:05', minutes: 4, what: 'C' },
        ]).map((phase) => [phase.what, phase.seconds]),
    ).toEqual([
        ['A', 540],
        ['Change', 60],
        ['B', 300],
        ['C', 240],
    ]);
});

test('a clock on a wall', () => {
    expect([inMinutes(0), inMinutes(59.2), inMinutes(61), inMinutes(600)]).toEqual(['0:00', '1:00', '1:01', '10:00']);
});
