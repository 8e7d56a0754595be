import { describe, expect, it } from 'vitest';
import type { Addable, Block } from '../../resources/app/api/client';
import {
    added,
    dosesOf,
    edited,
    inserted,
    isChanged,
    moved,
    NOTHING,
    replaced,
    split,
    without,
} from '../../resources/app/screens/sheet/draft';

const block = (id: string, reps = 8): Block => ({ id, sets: 2, reps, effort: 0.5, distance_m: null }) as Block;
const sheet = [block('a'), block('b'), block('c')];
const ids = (draft: typeof NOTHING, blocks = sheet): string[] => dosesOf(draft, blocks).map((dose) => dose.id);
const drill = added({ key: 'drill/x', sets: 1, reps: 6, effort: 0.3, distance_m: null } as Addable, 'new');

describe('a sheet as somebody wants it', () => {
    it('is as it is kept until something is changed', () => {
        expect(isChanged(NOTHING)).toBe(false);
        expect(ids(NOTHING)).toEqual(['a', 'b', 'c']);
        expect(dosesOf(NOTHING, sheet)[0]).toEqual({ id: 'a', sets: 2, reps: 8, effort: 0.5, distance_m: null });
    });

    it('keeps what another saved meanwhile of the blocks nobody touched here', () => {
        const mine = edited(NOTHING, { id: 'a', sets: 2, reps: 7, effort: 0.5, distance_m: null });
        const theirs = [block('a'), block('b', 15), block('c'), block('d')];
        expect(dosesOf(mine, theirs).map((dose) => dose.reps)).toEqual([7, 15, 8, 8]);
        expect(ids(moved(mine, sheet, 0, 1), theirs)).toEqual(['b', 'a', 'c', 'd']);
    });

    it('moves, puts in and takes away, and nothing comes back by itself', () => {
        expect(ids(moved(NOTHING, sheet, 2, 1))).toEqual(['a', 'c', 'b']);
        expect(ids(moved(NOTHING, sheet, 0, -1))).toEqual(['a', 'b', 'c']);
        expect(ids(moved(NOTHING, sheet, 2, 3))).toEqual(['a', 'b', 'c']);
        const put = inserted(NOTHING, sheet, 1, [drill]);
        expect(ids(put)).toEqual(['a', 'new', 'b', 'c']);
        expect(ids(without(put, sheet, 'new'))).toEqual(['a', 'b', 'c']);
        const fewer = without(put, sheet, 'b');
        expect(ids(fewer)).toEqual(['a', 'new', 'c']);
        expect(ids(fewer, [...sheet, block('d')])).toEqual(['a', 'new', 'c', 'd']);
        expect(ids(fewer, [block('a')]), 'what another took away is gone').toEqual(['a', 'new']);
    });

    it('is another one as a whole where a template takes its place', () => {
        const other = replaced(sheet, [drill]);
        expect(ids(other)).toEqual(['new']);
        expect(dosesOf(other, sheet)[0]).toMatchObject({ add: 'drill/x', reps: 6 });
    });

    it('splits sets for a drill between them without losing a repetition', () => {
        for (const [sets, reps] of [
            [2, 16],
            [3, 24],
            [3, 17],
            [5, 22],
        ] as const) {
            const [first, again] = split(
                { id: 'b', sets, reps, effort: 0.5, distance_m: 9 },
                { id: 'again', key: 'l/r/2' },
            );
            expect(first.sets + again.sets).toBe(sets);
            expect(first.reps + again.reps).toBe(reps);
            expect(again).toMatchObject({ id: 'again', add: 'l/r/2', effort: 0.5, distance_m: 9 });
        }
    });
});
