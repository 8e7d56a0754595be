import { expect, test } from 'vitest';
import { asNow } from '../../resources/app/offline/asNow';
import type { Courtside } from '../../resources/app/api/client';
import { block, BOUNDS, fault } from './support';

test('a session the version before took along opens in this one', () => {
    const { counts: _, alternates: ____, ...old } = block();
    const { pair: __, ...oldFault } = fault('late');
    const { least_each: ___, ...oldBounds } = BOUNDS;
    const before = {
        sheet_id: 's',
        blocks: [old],
        faults: [oldFault],
        pattern: oldBounds,
        safe_misses: ['low'],
    } as unknown as Partial<Courtside>;
    const now = asNow(before);
    expect(now?.teaching).toEqual([]);
    expect(now?.taught_by).toEqual([]);
    expect(now?.games).toEqual([]);
    expect(now?.tags).toEqual([]);
    expect(now?.faults[0]?.pair).toEqual([]);
    expect(now?.pattern.least_each).toBe(1);
    expect(now?.blocks[0]?.alternates).toBe(false);
    expect(now?.safe_misses).toEqual(['low']);
    expect(now?.blocks[0]?.counts).toEqual([]);
    expect(now?.blocks[0]?.title).toBe(old.title);
});

test('what it does know stays, and nothing taken along is nothing', () => {
    const pack = {
        blocks: [block({ counts: ['set', 'throw'] })],
        faults: [],
        pattern: BOUNDS,
        teaching: [{ key: 'good', name: 'Good is', text: 'so' }],
    };
    expect(asNow(pack as Partial<Courtside>)?.blocks[0]?.counts).toEqual(['set', 'throw']);
    expect(asNow(pack as Partial<Courtside>)?.teaching).toHaveLength(1);
    expect(asNow(undefined)).toBeUndefined();
});
