import { afterEach, describe, expect, test, vi } from 'vitest';
import { dayName, doseInWords, inALine, n, nowWithOffset, percent } from '../../resources/app/api/words';
import { chosen, figure, picked, typed, typedAsIs } from '../../resources/app/parts/forms';

afterEach(() => {
    vi.useRealTimers();
    vi.restoreAllMocks();
});

describe('figures and days as they are read', () => {
    test('one decimal at most, and whole points of a hundred', () => {
        expect([n(3), n(3.04), n(3.05), n(1234.56)]).toEqual(['3', '3', '3.1', '1,234.6']);
        expect([percent(0), percent(0.754), percent(0.755), percent(1)]).toEqual(['0 %', '75 %', '76 %', '100 %']);
    });

    test('a day is that day wherever the device is', () => {
        expect(dayName('2027-05-20')).toBe('Thu 20 May');
        expect(dayName('2027-05-20', true)).toBe('Thursday 20 May');
        expect(dayName('2028-02-29')).toBe('Tue 29 Feb');
    });
});

describe('now, as the server keeps times', () => {
    test.each([
        [0, '+00:00'],
        [-60, '+01:00'],
        [-330, '+05:30'],
        [210, '-03:30'],
        [-840, '+14:00'],
    ])('with %i minutes behind UTC it ends in %s', (behind, offset) => {
        vi.useFakeTimers();
        const at = new Date(2027, 2, 4, 5, 6, 7, 8);
        vi.setSystemTime(at);
        vi.spyOn(Date.prototype, 'getTimezoneOffset').mockReturnValue(behind);
        expect(nowWithOffset()).toBe(`2027-03-04T05:06:07.008${offset}`);
    });

    test('it is the same moment', () => {
        const before = Date.now();
        const said = Date.parse(nowWithOffset());
        expect(said).toBeGreaterThanOrEqual(before);
        expect(said).toBeLessThanOrEqual(Date.now());
    });
});

describe('what was typed into a form', () => {
    const form = new FormData();
    form.set('name', '  Robin ');
    form.set('metres', ' 12.5 ');
    form.set('empty', '   ');
    form.set('side', 'left');

    test('loses the blanks at its ends, but for a password', () => {
        expect([typed(form, 'name'), typedAsIs(form, 'name')]).toEqual(['Robin', '  Robin ']);
        expect([typed(form, 'missing'), typedAsIs(form, 'missing')]).toEqual(['', '']);
    });

    test('is a number, or nothing where nothing was typed', () => {
        expect([figure(form, 'metres'), figure(form, 'empty'), figure(form, 'missing')]).toEqual([12.5, null, null]);
        expect(figure(form, 'name')).toBeNaN();
    });

    test('is one of the options, or none', () => {
        expect([chosen(form, 'side'), chosen(form, 'empty'), picked(form, 'side')]).toEqual(['left', null, 'left']);
    });
});

describe('a dose in words', () => {
    const dose = { effort: 0.75, distance_m: null, hold_s: null };

    test('sets once where they are even, each where they are not', () => {
        expect(doseInWords({ ...dose, sets: [8, 8, 8] })).toBe('3 × 8, 75 %');
        expect(doseInWords({ ...dose, sets: [5, 5, 4] })).toBe('5 + 5 + 4, 75 %');
        expect(doseInWords({ ...dose, sets: [6], distance_m: 24.5, hold_s: 3 })).toBe('1 × 6, 24.5 m, hold 3 s, 75 %');
    });

    test('nothing where nothing is counted', () => {
        expect(doseInWords({ ...dose, sets: [], effort: null })).toBe('');
        expect(inALine({ sets: [], what: 'cool down' })).toBe('cool down');
        expect(inALine({ sets: [6, 6], what: 'throws, 50 %' })).toBe('6 + 6 throws, 50 %');
    });
});
