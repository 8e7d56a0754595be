import { expect, test } from 'vitest';
import { afterPair, countedElsewhere, lineOf, nextUp, pairOf, swapped } from '../../resources/app/rules/line';

const line = ['a', 'b', 'c', 'd'];
const out = (...of: string[]): Set<string> => new Set(of);

test('the next of the line is up, and those who are out are passed over', () => {
    expect(nextUp(line, 'a', out())).toBe('b');
    expect(nextUp(line, 'd', out())).toBe('a');
    expect(nextUp(line, 'a', out('b', 'c'))).toBe('d');
    expect(nextUp(line, 'c', out('d', 'a'))).toBe('b');
    expect(nextUp(line, 'b', out('a', 'c', 'd'))).toBe('b');
    expect(nextUp(line, 'gone', out('a'))).toBe('b');
});

test('two are up at once, then the two after them', () => {
    expect(pairOf(line, 'a', out())).toEqual(['a', 'b']);
    expect(afterPair(line, ['a', 'b'], out())).toBe('c');
    expect(pairOf(line, 'a', out('b'))).toEqual(['a', 'c']);
    expect(afterPair(line, ['a', 'c'], out('b', 'd'))).toBe('a');
    expect(pairOf(line, 'a', out('b', 'c', 'd'))).toEqual(['a']);
});

test('two change places, over whoever is out between them', () => {
    expect(swapped(line, 'a', out())).toEqual(['b', 'a', 'c', 'd']);
    expect(swapped(line, 'a', out('b'))).toEqual(['c', 'b', 'a', 'd']);
    expect(swapped(line, 'd', out())).toEqual(['d', 'b', 'c', 'a']);
});

test('a line that was kept is taken up without those who left; nobody of it left is a new one', () => {
    expect(lineOf(['c', 'gone', 'a'], line)).toEqual(['c', 'a']);
    expect(lineOf(['gone'], line)).toEqual(line);
    expect(lineOf(null, line)).toEqual(line);
});

test('another phone that counted just now is known by its taps', () => {
    const now = Date.parse('2027-05-20T17:20:00+01:00');
    const tap = (device: string, at: string, kind = 'rep') => ({ device, kind, at: `2027-05-20T${at}:00+01:00` });
    expect(countedElsewhere([tap('mine', '17:19')], 'mine', now, 10)).toBe(false);
    expect(countedElsewhere([tap('theirs', '17:19')], 'mine', now, 10)).toBe(true);
    expect(countedElsewhere([tap('theirs', '17:10')], 'mine', now, 10)).toBe(false);
    expect(countedElsewhere([tap('theirs', '17:19', 'second')], 'mine', now, 10)).toBe(false);
});
