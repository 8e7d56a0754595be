import { expect, test } from 'vitest';
import { NOT, tagsOf } from '../../resources/app/rules/fold';
import { leadingFault } from '../../resources/app/rules/pattern';
import { judgedOf } from '../../resources/app/rules/count';
import { block, BOUNDS, fault, pack, rep } from './support';

const tag = (of: string, note: string) => rep({ kind: 'tag', target_id: of, verdict: null, note });

test('the last word on each tag counts, and each repetition has its own', () => {
    const events = [tag('a', 'low'), tag('b', 'high'), tag('a', 'fouled'), tag('a', `${NOT}low`)];
    expect(tagsOf(events, 'a')).toEqual(['fouled']);
    expect(tagsOf(events, 'b')).toEqual(['high']);
    expect(tagsOf(events, 'c')).toEqual([]);
    expect(tagsOf([...events, tag('a', 'low')], 'a').sort()).toEqual(['fouled', 'low']);
    expect(tagsOf([...events, tag('a', 'fouled')], 'a')).toEqual(['fouled']);
});

test('two faults that come together lead as the pair, one alone does not', () => {
    const faults = [fault('low'), fault('far'), fault('low-far', false, ['low', 'far'])];
    const seen = (marks: string) =>
        [...marks].map((mark) =>
            rep({ verdict: 'not_good', fault: { l: 'low', f: 'far', p: 'low-far' }[mark] ?? 'edge' }),
        );
    const leads = (marks: string) => leadingFault(seen(marks), faults, BOUNDS);
    expect(leads('lflfe')).toMatchObject({ fault: { id: 'low-far' }, times: 4, of: 5 });
    expect(leads('llllf')?.fault.id).toBe('low');
    expect(leads('lfeee')).toBeNull();
    expect(leads('lflfp')?.times).toBe(5);
    // Of more than ten the last ten are looked at.
    expect(leads('lflfeeeeeeeeee')).toBeNull();
});

test('where the sides take turns both are evidence, elsewhere the side that is asked for', () => {
    const reps = [
        rep({ block_id: 'turns', side: 'dominant' }),
        rep({ block_id: 'turns', side: 'other' }),
        rep({ block_id: 'one', side: 'dominant' }),
        rep({ block_id: 'one', side: 'other' }),
    ];
    const of = pack({
        blocks: [
            block({ id: 'turns', judged: true, alternates: true }),
            block({ id: 'one', judged: true, alternates: false }),
        ],
    });
    expect(judgedOf(of, reps).map(({ block_id, side }) => `${block_id} ${side}`)).toEqual([
        'turns dominant',
        'turns other',
        'one dominant',
    ]);
});
