import { describe, expect, test } from 'vitest';
import { FIGURES, gameName, GAMES, GOAL, setupInWords } from '../../resources/app/parts/games';
import { readSetup } from '../../resources/app/rules/round';
import { isFull, type Kind, NOW, SEEN } from '../../resources/app/rules/score';

describe('a setup in words', () => {
    test.each([
        ['target_round zones=4 balls=5 points=5', null, 'Target round, 4 zones, 5 balls each, 5 points a hit'],
        // One zone, or a point a hit, is nothing to tell.
        [
            'target_round zones=1 balls=10 points=1 on=volleyball:whole',
            'The whole court',
            'Target round, 10 balls each, the whole court',
        ],
        ['clear_targets targets=1', null, 'Clear the targets, 1 target'],
        ['serve_game on=racket:left-box', 'Left service box', 'Serve game, left service box'],
        ['timed_gaps gaps=4 passes=10', null, 'Timed gaps, 4 gaps, 10 passes each'],
        ['in_a_row', null, 'In a row'],
    ])('%s', (code, box, words) => {
        expect(setupInWords(readSetup(code), box)).toBe(words);
    });
});

test('a goal is said in the unit of its kind; a share as per cent', () => {
    const said = (kind: Kind, goal: number): string => GOAL[kind].said(goal);
    expect(said('serve_game', 0.6)).toBe('60 % of first serves');
    expect(said('target_round', 70)).toBe('70 points');
    expect(said('grouping', 0.4)).toBe('0.4 m off');
    expect(said('timed_gaps', 42)).toBe('42 s');
    // As it is typed, so it is shown again.
    expect(said('serve_game', 55 / GOAL.serve_game.scale)).toBe('55 % of first serves');
});

test('every kind has a name, its figures, a goal, and says where it stands before the first touch', () => {
    for (const [kind] of GAMES) {
        const round = { zones: 1, balls: 1, points: 1, targets: 1, gaps: 1, passes: 1 };
        const taking = { kind, round, taps: [], at: [] };
        expect(gameName(kind)).not.toBe(kind);
        expect(NOW[kind](taking)).not.toContain('undefined');
        expect(isFull(taking)).toBe(false);
        expect(SEEN[kind](taking)).toBeTypeOf('object');
        expect(GOAL[kind].scale).toBeGreaterThan(0);
        for (const { most, of } of FIGURES[kind]) {
            expect(most).toBeGreaterThan(1);
            expect(of(1)).toMatch(/^1 [a-z]/);
            expect(of(2)).toMatch(/^2 [a-z]/);
        }
    }
});
