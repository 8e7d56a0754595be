import type { Verdict } from '../../resources/app/rules/fold';
import { describe, expect, test } from 'vitest';
import type { Courtside, CourtsideBlock } from '../../resources/app/api/client';
import type { KeptReport } from '../../resources/app/offline/store';
import {
    blockAt,
    fallOf,
    haltOf,
    judgedOf,
    openAfter,
    setAt,
    sideInWords,
    tally,
} from '../../resources/app/rules/count';
import { budget, doseOf } from '../../resources/app/rules/doses';
import { inOrder, standing, tagsOf } from '../../resources/app/rules/fold';
import { touches } from '../../resources/app/rules/stops';
import { block, BOUNDS, examples, pack, rep } from './support';

describe('the repetitions that stand, as Augendo\\Core\\Courtside\\TapFold has them', () => {
    test.each(examples.fold.map((each, i) => [i, each] as const))('example %i', (_, each) => {
        const stands = standing(inOrder(each.events));
        expect(stands.map((one) => [one.id, one.verdict, one.fault])).toEqual(each.standing);
        const tags = stands.map(({ id }) => [id, tagsOf(inOrder(each.events), id).sort()] as const);
        expect(tags.filter(([, own]) => own.length > 0)).toEqual(
            stands.flatMap(({ id }) => (each.tags[id] ? [[id, [...each.tags[id]].sort()]] : [])),
        );
    });
    test('what a second person saw stands apart', () => {
        const [counted, seen] = [rep(), rep({ kind: 'second', verdict: 'not_good' })];
        expect(standing([counted, seen])).toEqual([counted]);
        expect(standing([counted, seen], 'second')).toEqual([seen]);
    });
});

test('the set a repetition belongs to, and what is left of it', () => {
    const of = block({ reps_by_set: [6, 4] });
    expect(setAt(of, 0)).toEqual({ setNo: 1, left: 6 });
    expect(setAt(of, 5)).toEqual({ setNo: 1, left: 1 });
    expect(setAt(of, 6)).toEqual({ setNo: 2, left: 4 });
    expect(setAt(of, 10)).toEqual({ setNo: 2, left: 0 });
    expect(setAt(of, 12)).toEqual({ setNo: 2, left: 0 });
    expect(setAt(block({ reps_by_set: [] }), 0)).toEqual({ setNo: 1, left: 0 });
});

test('the block that is counted: the chosen one, else the first open one, else the last', () => {
    const blocks = [block({ id: 'a', reps_by_set: [1] }), block({ id: 'b', reps_by_set: [2] })];
    const done = (...ids: string[]) => ids.map((id) => rep({ block_id: id }));
    expect(blockAt(blocks, [], null)).toBe(0);
    expect(blockAt(blocks, done('a'), null)).toBe(1);
    expect(blockAt(blocks, done('a', 'b', 'b'), null)).toBe(1);
    expect(blockAt(blocks, done('a'), 0)).toBe(0);
    expect(blockAt(blocks, [], 7)).toBe(1);
    expect(blockAt([], [], null)).toBe(0);
});

test('evidence is of judged blocks, on the side each asks for', () => {
    const session = pack({
        blocks: [block(), block({ id: 'other', side: 'other' }), block({ id: 'warm', judged: false })],
    });
    const counts = [rep(), rep({ block_id: 'other', side: 'other' })];
    const none = [rep({ side: 'other' }), rep({ block_id: 'other' }), rep({ block_id: 'warm' })];
    expect(judgedOf(session, [...counts, ...none])).toEqual(counts);
});

test('a capital marks a fault that can hurt', () => {
    const judged = [
        rep(),
        rep({ verdict: 'not_good', fault: 'elbow' }),
        rep({ verdict: 'unobserved' }),
        rep({ verdict: 'not_good' }),
    ];
    expect(tally(pack(), judged)).toEqual({ good: 1, seen: 3, marks: 'gBub' });
});

test('the side of a left-hander', () => {
    const side = (of: string, one_sided: boolean): string | null => sideInWords(pack(), block({ one_sided }), of);
    expect([side('dominant', true), side('other', true)]).toEqual(['left side', 'right side']);
    expect(side('dominant', false)).toBeNull();
});

describe('how many are left', () => {
    const at = (effort: number) => doseOf(block(), { effort, distance_m: 9 });
    test('each repetition costs what it was done at', () => {
        expect(budget(pack(), [], at(0.5), 'dominant')?.repsLeft).toBe(20);
        expect(budget(pack(), [rep({ effort: 0.8, distance_m: 9 })], at(0.5), 'dominant')?.repsLeft).toBe(18);
        expect(budget(pack(), [rep({ effort: 0.5, distance_m: 9 })], at(0.8), 'dominant')?.repsLeft).toBe(11);
    });
    test('what a sheet no longer knows counts as planned; the other side costs this limit nothing', () => {
        expect(budget(pack(), [rep({ effort: 0.77, distance_m: 3 })], at(0.5), 'dominant')?.repsLeft).toBe(19);
        expect(budget(pack(), [rep({ side: 'other', distance_m: 9 })], at(0.5), 'dominant')?.repsLeft).toBe(20);
        expect(budget(pack(), [], at(0.5), 'other')).toBeNull();
    });
    test('the limit that stops first is the one told', () => {
        const bounds = [
            { limit_id: 'none', label: 'No cost', unit: 'units', used: 0, max: 0, remaining: 0 },
            {
                limit_id: 'arm-day',
                label: 'Arm day',
                full: 'arm day is full',
                unit: 'units',
                used: 19.5,
                max: 20,
                remaining: 0.5,
            },
        ] as ReturnType<typeof pack>['bounds'];
        const left = budget(pack({ bounds }), [], at(0.5), 'dominant');
        expect([left?.tape.label, left?.repsLeft]).toEqual(['Arm day', 1]);
        expect(budget(pack({ bounds }), [rep({ distance_m: 9 })], at(0.5), 'dominant')?.tape.status).toBe('over');
    });
});

describe('why nothing more is counted', () => {
    const dose = doseOf(block(), block());
    const left = (repsLeft: number) => ({ repsLeft, tape: { label: 'Arm day' } }) as ReturnType<typeof budget>;
    const report = (score: number, of: Partial<KeptReport['report']> = {}): KeptReport =>
        ({
            id: `report-${score}`,
            sending: 'waiting',
            report: {
                site: 'shoulder',
                side: 'left',
                kind: 'sharp',
                score,
                moment: 'during',
                at: '2026-11-26T17:00:00Z',
                ...of,
            },
        }) as unknown as KeptReport;
    const why = (kept: KeptReport[], of = pack(), reps = 5) => haltOf(of, kept, block(), 'dominant', dose, left(reps));
    test('nothing, while there is room', () => {
        expect(why([])).toBeNull();
        expect(why([report(2)])).toBeNull();
        expect(why([report(9, { side: 'right' })])).toBeNull();
    });
    test('a hard limit that is used up', () => {
        expect(why([], pack(), 0)).toContain('Arm day is used up. This is a hard limit');
    });
    test('what was reported here, by the table, the worst of it', () => {
        expect(why([report(3)])).toContain('rules out the part that hurts');
        expect(why([report(3), report(6)])).toContain('licensed clinician');
        expect(why([report(6), report(3)])).toContain('licensed clinician');
    });
    test('a place or a kind the table does not know is the strictest case', () => {
        expect(why([report(1, { site: 'elbow' })])).toContain('licensed clinician');
        expect(why([report(1, { kind: 'locking' })])).toContain('licensed clinician');
        expect(why([report(0, { site: 'none', side: null })])).toBeNull();
    });
    test('an answer of the server that knows of it takes its place', () => {
        expect(why([report(6)], pack({ reports_known: ['report-6'] }))).toBeNull();
        expect(why([report(6)], pack({ reports_known: ['report-6'], stop: 'Stop, the server says.' }))).toBe(
            'Stop, the server says.',
        );
    });
    test('work that is not stopped goes on, and only soreness it could be stopped by is a reason to look', () => {
        const steps = block({ id: 'steps', load: 'landing', one_sided: false });
        const blocks = [block(), block({ id: 'later' }), steps, block({ id: 'over', reps_by_set: [] })];
        const rows = [
            ...pack().stops.rows,
            { load: 'landing|dominant', moment: 'during', kind: 'sharp', none: '--3', refer: '--6' },
        ] as Courtside['stops']['rows'];
        const session = pack({ blocks, stops: { ...pack().stops, rows } });
        const open = (kept: KeptReport[]): string[] => openAfter(session, kept, 0, []).map((each) => each.id);
        expect(open([])).toEqual(['later', 'steps']);
        expect(open([report(3)])).toEqual(['steps']);
        const looks = (of: CourtsideBlock): boolean => touches(session, report(1).report, of, 'dominant');
        expect([looks(block()), looks(steps)]).toEqual([true, false]);
    });
    test('a report of an earlier day that was sent says nothing of today', () => {
        const sent = { ...report(6, { at: '2026-11-25T17:00:00Z' }), sending: 'sent' } as unknown as KeptReport;
        expect(why([sent])).toBeNull();
        expect(why([{ ...sent, sending: 'waiting' }])).toContain('licensed clinician');
    });
});

test('quality that falls is told in points', () => {
    const judged = [...Array<Verdict>(10).fill('good'), ...Array<Verdict>(10).fill('not_good')].map((verdict) =>
        rep({ verdict }),
    );
    expect(fallOf(judged, { falls: 0.3 }, null, BOUNDS)).toContain('the last 10 lie 30 points below the best 10');
    expect(fallOf(judged, null, null, BOUNDS)).toBeNull();
});
