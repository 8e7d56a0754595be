import { expect, test } from 'vitest';
import { codeOf, readSetup, roundsOf, setupOf, takingOf } from '../../resources/app/rules/round';
import { isFull, SEEN } from '../../resources/app/rules/score';
import { examples } from './support';

test('rounds come to the same on a device as on the server', () => {
    let told = 0;
    for (const { events, box, safe, played } of examples.round) {
        const rounds = roundsOf(events, () => (box === null ? null : { id: 'box', name: 'Box', ...box }));
        expect(rounds.map(({ id, outcomes }) => ({ id, words: outcomes.map(({ word }) => word) }))).toEqual(
            played.map(({ id, words }) => ({ id, words })),
        );
        for (const [i, round] of rounds.entries()) {
            const { seen } = played[i] ?? { seen: null };
            // What the server keeps is what the device showed; misses on the safe side, and where they went, are
            // counted there alone.
            if (seen === null) continue;
            told++;
            const { safe: _, counts: __, ...same } = seen;
            expect(SEEN[round.setup.kind](takingOf(round, safe))).toEqual(same);
        }
    }
    expect(told).toBeGreaterThan(30);
});

test('a round that ends by itself is full where the server keeps it', () => {
    const ends = ['target_round', 'clear_targets', 'timed_gaps'];
    for (const { events, box, safe, played } of examples.round)
        for (const [i, round] of roundsOf(events, () => box && { id: 'box', name: 'Box', ...box }).entries())
            if (ends.includes(round.setup.kind)) expect(isFull(takingOf(round, safe))).toBe(played[i]?.seen !== null);
});

test('a setup is read and written as it was; its goal is no part of what is compared', () => {
    const code = 'target_round zones=4 balls=5 points=5 on=racket:left-box goal=70';
    const setup = readSetup(code);
    expect(setup).toEqual({
        kind: 'target_round',
        figures: { zones: 4, balls: 5, points: 5 },
        on: ['racket', 'left-box'],
        goal: 70,
    });
    expect(codeOf(setup)).toBe(code);
    expect(setupOf(setup)).toBe('target_round zones=4 balls=5 points=5 on=racket:left-box');
});
