import { describe, expect, test } from 'vitest';
import { grown, leadingFault, nudge, runs, stopsForQuality, verdictOf } from '../../resources/app/rules/pattern';
import { BOUNDS, examples, fault, rep } from './support';

const FAULTS = [
    ...['toss-high', 'elbow-low', 'late', 'short'].map((id) => fault(id)),
    fault('late-and-short', false, ['late', 'short']),
];
const reps = (taps: [good: boolean | null, fault: string | null][]) =>
    taps.map(([good, named]) =>
        rep({ verdict: good === null ? 'unobserved' : good ? 'good' : 'not_good', fault: named }),
    );
const marks = (text: string) =>
    reps([...text].map((mark) => [mark === 'u' ? null : mark === 'g', /[gub]/.test(mark) ? null : mark]));

describe('as Augendo\\Core\\Mechanics\\FaultPattern and Nudge have it', () => {
    test.each(examples.pattern.map((each, i) => [i, each] as const))('example %i', (_, each) => {
        const judged = reps(each.taps);
        const leads = leadingFault(judged, FAULTS, BOUNDS);
        expect(leads && { fault: leads.fault.id, times: leads.times, of: leads.of }).toEqual(each.leading);
        const asks = nudge(judged, FAULTS, BOUNDS);
        expect(asks && 'back' in asks ? asks.back.id : null).toBe(each.back);
        if (each.falls === null) expect(asks === null || 'back' in asks).toBe(true);
        else expect(asks).toEqual({ falls: expect.closeTo(each.falls, 9) as number });
    });
});

test('good ones in a row: one nobody saw neither breaks a run nor adds to it', () => {
    expect(runs(marks('ggugbg'))).toEqual({ now: 1, longest: 3 });
    expect(runs(marks('ggg'))).toEqual({ now: 3, longest: 3 });
    expect(runs(marks(''))).toEqual({ now: 0, longest: 0 });
});

test('quality that falls stops once, and again after as many more as are compared', () => {
    const judged = marks('gggggggggg' + 'bbbbbbbbbb');
    const asks = nudge(judged, FAULTS, BOUNDS);
    expect(stopsForQuality(judged, asks, null, BOUNDS)).toBeCloseTo(1);
    const wentOn = Date.parse(judged.at(-1)?.at ?? '');
    expect(stopsForQuality(judged, asks, wentOn, BOUNDS)).toBeNull();
    const after = [...judged, ...marks('bbbbbbbbbb')];
    expect(stopsForQuality(after, nudge(after, FAULTS, BOUNDS), wentOn, BOUNDS)).toBeCloseTo(1);
    const unseen = [...judged, ...marks('uuuuuuuuuu')];
    expect(stopsForQuality(unseen, nudge(unseen, FAULTS, BOUNDS), wentOn, BOUNDS)).toBeNull();
});

test('soreness grew when it is more than anything said of that place, side and kind before', () => {
    const said = { site: 'shoulder', side: 'left', kind: 'muscle', score: 3, moment: 'during' } as never;
    const before = (score: number, side: string | null) =>
        [{ site: 'shoulder', side, kind: 'muscle', score }] as Parameters<typeof grown>[1];
    expect(grown([said], [])).toBe(said);
    expect(grown([said], before(3, 'left'))).toBeUndefined();
    expect(grown([said], before(2, 'left'))).toBe(said);
    expect(grown([said], before(9, 'right'))).toBe(said);
});

test('checkpoints come to a verdict: one wrong is not good, all right are good, not seen is no pass', () => {
    expect(verdictOf(['toss', 'arm'], { toss: 'right', arm: 'right' })).toBe('good');
    expect(verdictOf(['toss', 'arm'], { toss: 'right', arm: 'wrong' })).toBe('not_good');
    expect(verdictOf(['toss', 'arm'], { toss: 'right' })).toBe('unobserved');
    expect(verdictOf([], {})).toBe('unobserved');
});
