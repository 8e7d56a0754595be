import { describe, expect, test } from 'vitest';
import {
    type BlockDef,
    doneAs,
    freshId,
    type LadderDef,
    placeInWords,
    withoutCheckpoint,
    withoutFault,
} from '../../resources/app/screens/library/definition';

describe('an id from a name', () => {
    test.each([
        ['Half motion, to the wall', [], 'half-motion-to-the-wall'],
        ['  Élan!  ', [], 'e-lan'],
        ['„…“', [], 'new'],
        ['rung', ['rung'], 'rung-2'],
        ['rung', ['rung', 'rung-2', 'rung-4'], 'rung-3'],
    ])('“%s” beside %j', (name, taken, id) => {
        expect(freshId(name, taken.map((each) => ({ id: each })))).toBe(id); // prettier-ignore
    });
});

describe('a place in the file, as a person finds it in the form', () => {
    const ladder = {
        rungs: [{ name: 'Toss to a mark' }, { name: '' }],
        faults: [{ name: 'Elbow low' }],
        checkpoints: [{ name: 'Toss' }],
        moments: [{ name: 'Contact' }],
    } as unknown as LadderDef;
    test.each([
        ['', 'the file'],
        ['/name', 'name'],
        ['/rungs', 'rungs'],
        ['/rungs/0', 'rung 1, “Toss to a mark”'],
        ['/rungs/1/name', 'rung 2, name'],
        ['/rungs/7', 'rung 8'],
        ['/rungs/0/blocks/2', 'rung 1, “Toss to a mark”, block 3'],
        ['/rungs/0/blocks/2/distance_m', 'rung 1, “Toss to a mark”, block 3, distance m'],
        ['/rungs/0/gate/min_reps', 'rung 1, “Toss to a mark”, gate, min reps'],
        ['/rungs/0/checkpoints/0', 'rung 1, “Toss to a mark”, checkpoints'],
        ['/faults/0/cue', 'fault 1, “Elbow low”, cue'],
        ['/moments/0/text', 'moment 1, “Contact”, text'],
        ['/checkpoints/0/measure/low', 'checkpoint 1, “Toss”, measure, low'],
        ['/checkpoints/0/good', 'checkpoint 1, “Toss”, good'],
    ])('%s', (path, words) => {
        expect(placeInWords(path, ladder)).toBe(words);
    });
});

describe('a block done another way', () => {
    const block: BlockDef = {
        block: 'part',
        title: 'Toss',
        text: 'Toss it.',
        skill: 'overhand-throw',
        object: 'soft-ball',
        sets: 2,
        reps: 6,
        effort: 0.5,
    };

    test('counted has beats, and another tempo leaves them', () => {
        const counted = doneAs(block, 'tempo', 'counted');
        expect(counted.counts).toEqual(['one', 'two', 'three']);
        expect(doneAs(counted, 'tempo', 'held')).toEqual({ ...block, tempo: 'held' });
        expect(doneAs(counted, 'tempo', '')).toEqual(block);
    });

    test('only what is fed is varied', () => {
        const fed = { ...doneAs(block, 'feed', 'coach'), varied: true };
        expect(doneAs(fed, 'feed', 'partner').varied).toBe(true);
        expect(doneAs(fed, 'feed', 'none')).toEqual({ ...block, feed: 'none' });
        expect(doneAs(fed, 'feed', '')).toEqual(block);
    });

    test('a game is named and taken away without touching the rest', () => {
        const held = doneAs(block, 'tempo', 'held');
        expect(doneAs(held, 'play', 'in_a_row')).toEqual({ ...held, play: 'in_a_row' });
        expect(doneAs(doneAs(held, 'play', 'in_a_row'), 'play', '')).toEqual(held);
    });
});

describe('what is taken away is named nowhere any more', () => {
    const ladder = {
        checkpoints: [
            { id: 'arm', name: 'Arm', good: 'high' },
            { id: 'leg', name: 'Leg', good: 'firm' },
        ],
        faults: [
            { id: 'low', name: 'Low', checkpoint: 'arm', cue: 'up', drill: 'wall' },
            { id: 'soft', name: 'Soft', checkpoint: 'leg', cue: 'stand', drill: 'box' },
        ],
        rungs: [{ id: 'first', checkpoints: ['arm', 'leg'], faults: ['low', 'soft'] }],
        seated: { set_up: 'brakes on', without: ['leg'], drills: { low: null, soft: { drill: 'belt', how: 'tight' } } },
    } as unknown as LadderDef;

    test('a checkpoint', () => {
        const rest = withoutCheckpoint(ladder, 'leg');
        expect(rest.checkpoints.map(({ id }) => id)).toEqual(['arm']);
        expect(rest.rungs[0]?.checkpoints).toEqual(['arm']);
        expect(rest.seated?.without).toEqual([]);
        expect(rest.seated?.drills).toEqual(ladder.seated?.drills);
        expect(ladder.rungs[0]?.checkpoints).toEqual(['arm', 'leg']);
    });

    test('a fault', () => {
        const rest = withoutFault(ladder, 'soft');
        expect(rest.faults.map(({ id }) => id)).toEqual(['low']);
        expect(rest.rungs[0]?.faults).toEqual(['low']);
        expect(rest.seated?.drills).toEqual({ low: null });
        expect(rest.seated?.set_up).toBe('brakes on');
    });

    test('of a ladder that is done on the feet alone nothing is made up', () => {
        const { seated: _seated, ...standing } = ladder;
        expect('seated' in withoutFault(standing, 'low')).toBe(false);
        expect('seated' in withoutCheckpoint(standing, 'arm')).toBe(false);
    });

    test('a place in what is said for a chair is found by the name of the fault', () => {
        expect(placeInWords('/seated/drills/soft/how', ladder)).toBe('From a chair, “Soft”, how');
        expect(placeInWords('/seated/set_up', ladder)).toBe('From a chair, set up');
        expect(placeInWords('/seated', ladder)).toBe('From a chair');
    });
});
