import { describe, expect, it } from 'vitest';
import type { Today, TodayRow } from '../../resources/app/api/client';
import { inPlaces, withEarlier, withRows } from '../../resources/app/screens/today/useToday';

const row = (id: string): TodayRow => ({ athlete: { id } }) as TodayRow;
const names = (rows: TodayRow[]): string => rows.map((each) => each.athlete.id).join('');

/** A squad a to z, of which some rows are there and the others wait in the order given. */
function squad(all: string, there: string, waiting: string): Today {
    return {
        order: [...all],
        rows: [...there].map(row),
        waiting: [...waiting].map((id) => ({ athlete_id: id, name: id })),
    } as Today;
}

describe('rows of Today that come later', () => {
    it('stand in their places, whatever order they come in', () => {
        const all = 'abcdefghijklmnopqrstuvwxyz';
        const first = squad(all, 'aez', 'ymdwcbfghijklnopqrstuvx');
        const some = withRows(first, [...'ymdwcbfghijklnopqrst'].reverse().map(row));
        expect(names(some.rows)).toBe('abcdefghijklmnopqrstwyz');
        expect(some.waiting.map((each) => each.athlete_id)).toEqual(['u', 'v', 'x']);
        const whole = withRows(some, ['x', 'v', 'u'].map(row));
        expect(names(whole.rows)).toBe(all);
        expect(whole.waiting).toEqual([]);
    });

    it('are left out where somebody is of the squad no more', () => {
        const whole = withRows(squad('abcd', 'ad', 'cb'), [row('b')]);
        expect(names(whole.rows)).toBe('abd');
        expect(whole.waiting).toEqual([]);
    });

    it('take the place of those of the look before', () => {
        const before = { rows: [...'abcx'].map((id) => ({ ...row(id), word: 'full' })) } as Today;
        const look = withEarlier(squad('abcd', 'd', 'bac'), before);
        expect(names(look.rows)).toBe('abcd');
        const whole = withRows(look, ['a', 'c'].map(row));
        expect(names(whole.rows)).toBe('acd');
        expect(whole.rows.some((each) => each.word === 'full')).toBe(false);
    });

    it('are shown as missing between those that are there', () => {
        const shown = inPlaces(squad('abcd', 'ad', 'cb'));
        expect(shown.map((each) => ('athlete_id' in each ? `(${each.athlete_id})` : each.athlete.id)).join('')).toBe(
            'a(b)(c)d',
        );
    });
});
