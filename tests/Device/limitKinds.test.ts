import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
    asKind,
    inWords,
    KINDS,
    type Kind,
    newLimit,
    withBand,
    withFilter,
    withOptional,
    withoutBand,
} from '../../resources/app/screens/limits/limitKinds';

const kinds = Object.keys(KINDS) as Kind[];
const written = JSON.parse(readFileSync('tests/examples/limit-kinds.json', 'utf8')) as unknown;

/** Of each kind, as the editor makes it, with all it can say. RuleSetTest holds the file to the core’s reader. */
const made = [
    ...kinds.map((kind) => asKind(newLimit(`every-${kind}`), kind)),
    withBand(withBand(asKind(newLimit('by-age'), 'step'))),
    withoutBand(withBand(newLimit('one-band')), 0),
    { ...newLimit('a-session'), window: { session: true as const }, per_side: true },
    withOptional(
        withFilter(withFilter(asKind(newLimit('owed'), 'rest'), 'owed_by', { families: ['throw'] }), 'filter', {
            families: ['throw', 'serve'],
            objects: ['standard'],
            side: 'dominant',
            skills: ['pitch'],
        }),
        'waits',
        'reps',
    ),
];

describe('what the editor of rule sets writes', () => {
    it('is what stands in the file that the core reads', () => {
        expect(JSON.parse(JSON.stringify(made))).toEqual(written);
    });

    it('keeps what two kinds have in common, and nothing else', () => {
        const filtered = withFilter(newLimit('a'), 'filter', { families: ['jump'] });
        const step = asKind({ ...filtered, label: 'Landings', severity: 'advise', measure: 'landings' }, 'step');
        expect(step).toMatchObject({
            label: 'Landings',
            severity: 'advise',
            measure: 'landings',
            filter: { families: ['jump'] },
        });
        expect(step).not.toHaveProperty('max');
        expect(step).not.toHaveProperty('window');
        expect(asKind(step, 'level').measure).toBe('effort');
        expect(asKind(asKind(step, 'level'), 'cap').measure).toBe('reps');
    });

    it('a filter that says nothing is none, and so is a word that was taken back', () => {
        const limit = withFilter(newLimit('a'), 'filter', { side: 'other' });
        expect(withFilter(limit, 'filter', { side: '', families: [], skills: [] })).not.toHaveProperty('filter');
        expect(withOptional(withOptional(limit, 'source', 'The club'), 'source', '')).not.toHaveProperty('source');
    });

    it('bands follow one another, and without the last one its values hold at every age', () => {
        const one = withBand({ ...newLimit('a'), ages: [12, 30] });
        expect(one.by_age?.[0]).toEqual({ ages: [12, 120], max: 100 });
        expect(one).not.toHaveProperty('ages');
        const two = withBand({ ...one, by_age: [{ ages: [12, 15], max: 60 }] });
        expect(two.by_age?.[1]).toEqual({ ages: [16, 120], max: 60 });
        expect(withBand(one).by_age?.map((band) => band.ages)).toEqual([
            [12, 13],
            [14, 120],
        ]);
        expect(withoutBand(two, 0).by_age).toHaveLength(1);
        expect(withoutBand(withoutBand(two, 0), 0)).toMatchObject({ max: 60 });
    });

    it('says in words what each kind bounds', () => {
        expect(kinds.map((kind) => inWords(asKind(newLimit('a'), kind)))).toEqual([
            'reps in 1 day',
            'no single set above, effort',
            'days without, after reps',
            'days in a row with reps',
            'reps of a week over the weeks before',
            'reps of last week against the weeks before',
        ]);
    });
});
